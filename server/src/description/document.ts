import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { TABLET_COOKIE } from '../door/door.guard';
import { addAnswers } from './answers';
import { addExamples } from './examples';
import { sayNullable } from './nullable';

/** What each group of operations is about; an operation's group is its controller. */
const GROUPS: Record<string, string> = {
  Advice: 'What the next shot should be, without anything stored',
  Bags: 'Bags of a coffee: roasted, opened, frozen, weighed, finished',
  BarScales: 'Scales on the bar',
  BasketRows: 'What a shop says of a coffee in a basket itself',
  BasketTable: 'A coffee in every basket: short, normal, long',
  Baskets: 'Baskets and what they take',
  Board: 'How every station stands',
  Calendar: 'Reminders for a calendar program',
  Care: 'What is to be cleaned, and when',
  CareDone: 'Care that was done, by whom',
  CareRules: 'How often a shop wants a care task',
  Cards: 'Kept recipes and their versions',
  CoffeeChanges: 'Another coffee in the hopper of a station',
  Coffees: 'Coffees of the shelf',
  Corrections: 'Rows stored before there was a rule that they break',
  DayMoves: 'What was answered to a drift: a small turn, or to let it be',
  Day: 'The shots of one day at one station',
  Devices: 'Scales, machines, grinders and sensors that speak for themselves',
  Door: 'Letting in tablets of the shop’s own network',
  DoseWeighings: 'Doses weighed behind a timed grinder',
  Drinks: 'Drinks that hang on a card',
  Effects: 'What air, age and hour have meant here',
  Exports: 'The shop, or one table of it, as a file to keep',
  FoundDoses: 'The dose found for a basket and a coffee',
  Grinders: 'Grinders, their scales and what they taught',
  HandOvers: 'A turn at the bar handed over to whoever comes next',
  Happened: 'What was changed at the bar, and why',
  Health: 'Is it alive, can it take a write',
  ImportMatches: 'How files of other houses were read before',
  Imports: 'Files brought in: read, taken, taken back',
  Keepers: 'The closed loop of a station: what it may do, and stopping it',
  MachineButtons: 'Programmed buttons that make a card',
  Machines: 'Machines, their temperatures and readings',
  Openings: 'What was done in the morning',
  OwnMethods: 'Methods of the shop’s own',
  Palates: 'Where each person likes a cup best',
  People: 'Who works here, by first name',
  Preparations: 'How a station makes its pucks from a moment on',
  Prepared: 'How each way of preparing poured',
  Proposals: 'How a station would begin with another coffee',
  Pulls: 'Shots while they are pulled',
  RoomReadings: 'The air of the room, typed in or told by a sensor',
  Runs: 'Dial-ins, and the sheet each of them shows',
  Setup: 'A station with all it needs, in one write',
  Shelf: 'Stock, wear, and who tasted how much',
  Shop: 'The shop itself',
  Shots: 'Shots as they were poured, and their corrections',
  Starts: 'Where to set a grinder for a coffee',
  StationEvents: 'What was done at a station that may move its time',
  Stations: 'Places at the bar: grinder, machine, basket, coffee, aim',
  Tastings: 'Who tasted what',
};

/** The OpenAPI document: from it the page's client is generated, and anybody can script against it alone. */
export function describeApi(app: NestExpressApplication): OpenAPIObject {
  const about = new DocumentBuilder()
    .setTitle('Olvet')
    .setDescription(
      'Dial in espresso. Ids are UUIDs made by the client; every PUT may be sent again and changes nothing the second ' +
        'time. The header Olvet-Person, a first name percent-encoded, says who writes. A row that exists is changed with the revision last seen; lists come in pages. Errors are problem+json ' +
        '(RFC 9457) with the path of every field they are about.',
    )
    .setVersion('1')
    .setLicense('MIT', 'https://spdx.org/licenses/MIT.html')
    .addServer('/', 'Where this document came from')
    .addCookieAuth(
      TABLET_COOKIE,
      { type: 'apiKey', in: 'cookie', description: 'Of a tablet that was let in' },
      'tablet',
    )
    // This machine itself needs none; a tablet of the network shows its cookie.
    .addSecurityRequirements({} as never)
    .addSecurityRequirements('tablet');
  for (const [name, description] of Object.entries(GROUPS)) about.addTag(name, description);
  const document = SwaggerModule.createDocument(app, about.build());
  sayNullable(document);
  addAnswers(document);
  addExamples(document);
  return document;
}

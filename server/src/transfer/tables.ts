import type { ModelCtor } from 'sequelize-typescript';
import { Bag } from '../bags/bag.entity';
import { Basket } from '../baskets/basket.entity';
import { BasketRow } from '../basketTable/basketRow.entity';
import { Preparation } from '../preparations/preparation.entity';
import { CareDone, CareRule } from '../care/care.entity';
import { Card, CardProposal, CardVersion } from '../cards/card.entity';
import { Coffee } from '../coffees/coffee.entity';
import { CoffeeChange } from '../coffeeChanges/coffeeChange.entity';
import { FoundDose } from '../doses/foundDose.entity';
import { Drink, MachineButton } from '../drinks/drink.entity';
import { Grinder } from '../grinders/grinder.entity';
import { HandOver } from '../handOvers/handOver.entity';
import { DayMove } from '../judging/dayMove.entity';
import { Keeper } from '../keeping/keeper.entity';
import { PersonPalate } from '../lessons/palate.entity';
import { Machine } from '../machines/machine.entity';
import { OwnMethod } from '../methods/ownMethod.entity';
import { Opening } from '../openings/opening.entity';
import { Person } from '../people/person.entity';
import { RoomReading } from '../room/roomReading.entity';
import { Run } from '../runs/run.entity';
import { BarScale } from '../scales/barScale.entity';
import { Shop } from '../shop/shop.entity';
import { Shot, ShotEdit } from '../shots/shot.entity';
import { StationEvent } from '../stationEvents/stationEvent.entity';
import { Station } from '../stations/station.entity';
import { Tasting, TastingEdit } from '../tastings/tasting.entity';
import { DoseWeighing } from '../weighings/doseWeighing.entity';

/** One table as it leaves the house and comes back. */
export interface TransferTable {
  /** Of the file and of the table in the database. */
  name: string;
  model: ModelCtor;
  /** The schema of the API document that says what a row may hold. */
  view: string;
  /** Schemas of columns that view does not show, or shows in another form. */
  schemas?: Readonly<Record<string, object>>;
  /** Columns without the shop's own that make a row the one it is. */
  key: readonly string[];
  /** Where no id says it: rows that agree in these are the same row. */
  alike?: readonly string[];
  what: string;
}

const ref = (view: string): object => ({ $ref: `#/components/schemas/${view}` });
const number = { type: 'number' };
/** As it is stored: the person stands beside it. */
const PALATE = {
  type: 'object',
  properties: {
    ...{ balance: number, body: number, balanceSd: number, bodySd: number, tastings: number },
    marks: ref('TasterMarksView'),
  },
  required: ['balance', 'body', 'balanceSd', 'bodySd', 'tastings'],
};

const table = (
  name: string,
  model: ModelCtor,
  view: string,
  what: string,
  more: Partial<Pick<TransferTable, 'schemas' | 'key' | 'alike'>> = {},
): TransferTable => ({ name, model, view, what, key: ['id'], ...more });

const NAMED = { alike: ['name'] } as const;

/** Every table that leaves, each after those it refers to. */
export const TABLES: readonly TransferTable[] = [
  table('grinders', Grinder, 'GrinderView', 'Grinders, their scales and what they taught', NAMED),
  table('machines', Machine, 'MachineView', 'Machines, their temperatures and readings', NAMED),
  table('baskets', Basket, 'BasketView', 'Baskets and what they take', NAMED),
  table('scales', BarScale, 'BarScaleView', 'Scales on the bar', NAMED),
  table('coffees', Coffee, 'CoffeeView', 'Coffees of the shelf', NAMED),
  table('bags', Bag, 'BagView', 'Bags of a coffee'),
  table('methods', OwnMethod, 'OwnMethodView', 'Methods of the shop’s own', NAMED),
  table('people', Person, 'PersonView', 'Who works here, by first name', NAMED),
  table('stations', Station, 'StationView', 'Places at the bar', NAMED),
  table('runs', Run, 'RunView', 'Dial-ins'),
  table('cards', Card, 'CardView', 'Recipe cards'),
  table('card_versions', CardVersion, 'CardVersionView', 'Every version of every card', {
    alike: ['cardId', 'version'],
  }),
  table('card_proposals', CardProposal, 'CardProposalView', 'Recipes somebody would like a card to have'),
  table('shots', Shot, 'ShotView', 'Shots as they were poured', {
    alike: ['stationId', 'pulledAt', 'doseGrams', 'yieldGrams', 'timeSeconds'],
  }),
  table('tastings', Tasting, 'TastingView', 'Who tasted what', { alike: ['shotId', 'person'] }),
  table('shot_edits', ShotEdit, 'ShotEditView', 'What a shot said before a correction', {
    key: ['shotId', 'revision'],
  }),
  table('tasting_edits', TastingEdit, 'TastingView', 'What a tasting said before a correction', {
    ...{ key: ['tastingId', 'revision'], schemas: { before: ref('TastingView') } },
  }),
  table('palates', PersonPalate, 'PalateView', 'Where each person likes a cup best', {
    ...{ key: ['person'], schemas: { palate: PALATE } },
  }),
  table('found_doses', FoundDose, 'FoundDoseView', 'The dose found for a basket and a coffee'),
  table('weighings', DoseWeighing, 'DoseWeighingView', 'Doses weighed behind a timed grinder', {
    alike: ['grinderId', 'weighedAt', 'seconds', 'grams'],
  }),
  table('openings', Opening, 'OpeningView', 'What was done in the morning', { alike: ['stationId', 'day'] }),
  table('coffee_changes', CoffeeChange, 'CoffeeChangeView', 'Another coffee in a hopper'),
  table('day_moves', DayMove, 'DayMoveView', 'What was answered to a drift'),
  table('station_events', StationEvent, 'StationEventView', 'Filled, cleaned: what may move a time'),
  table('preparations', Preparation, 'PreparationView', 'How pucks are made from a moment on', {
    alike: ['stationId', 'at'],
  }),
  table('keepers', Keeper, 'KeeperView', 'Limits of the closed loop'),
  table('hand_overs', HandOver, 'HandOverView', 'Turns at the bar handed over'),
  table('room_readings', RoomReading, 'RoomReadingView', 'The air of the room', {
    alike: ['at', 'celsius', 'humidityPercent'],
  }),
  table('drinks', Drink, 'DrinkView', 'Drinks that hang on a card'),
  table('basket_rows', BasketRow, 'BasketRowView', 'A coffee in a basket as the shop says itself'),
  table('care_done', CareDone, 'CareDoneView', 'Care that was done, and when', {
    alike: ['task', 'machineId', 'grinderId', 'at'],
  }),
  table('care_rules', CareRule, 'CareRuleView', 'How often the shop wants a care task', {
    alike: ['task', 'machineId', 'grinderId'],
  }),
  table('buttons', MachineButton, 'MachineButtonView', 'Programmed buttons that make a card'),
];

/** The shop's own settings: one row, taken only by a shop that has nothing yet. */
export const SHOP_TABLE = table('shops', Shop, 'ShopView', 'The shop’s settings');

/** What never leaves, and why. `shot_traces` leaves as one file a shot. */
export const NOT_LEAVING: Readonly<Record<string, string>> = {
  tablets: 'sessions',
  devices: 'pairing',
  imports: 'what was brought in, as the rows it became',
  import_matches: 'how files of other houses were read',
  pulls: 'shots that are being pulled just now',
  shot_traces: 'as traces/*.csv',
};

/** @returns undefined where no table has this name */
export function findTable(name: string): TransferTable | undefined {
  return TABLES.find((each) => each.name === name);
}

import { Bag } from '../bags/bag.entity';
import { Basket } from '../baskets/basket.entity';
import { Card, CardProposal, CardVersion } from '../cards/card.entity';
import { Coffee } from '../coffees/coffee.entity';
import { Tablet } from '../door/tablet.entity';
import { Grinder } from '../grinders/grinder.entity';
import { BarScale } from '../scales/barScale.entity';
import { DoseWeighing } from '../weighings/doseWeighing.entity';
import { FoundDose } from '../doses/foundDose.entity';
import { OwnMethod } from '../methods/ownMethod.entity';
import { Opening } from '../openings/opening.entity';
import { RoomReading } from '../room/roomReading.entity';
import { HandOver } from '../handOvers/handOver.entity';
import { BasketRow } from '../basketTable/basketRow.entity';
import { Preparation } from '../preparations/preparation.entity';
import { CareDone, CareRule } from '../care/care.entity';
import { Drink, MachineButton } from '../drinks/drink.entity';
import { Keeper } from '../keeping/keeper.entity';
import { StationEvent } from '../stationEvents/stationEvent.entity';
import { DayMove } from '../judging/dayMove.entity';
import { CoffeeChange } from '../coffeeChanges/coffeeChange.entity';
import { Person } from '../people/person.entity';
import { PersonPalate } from '../lessons/palate.entity';
import { Machine } from '../machines/machine.entity';
import { Run } from '../runs/run.entity';
import { Shop } from '../shop/shop.entity';
import { Shot, ShotEdit } from '../shots/shot.entity';
import { Device } from '../devices/device.entity';
import { Pull } from '../pulls/pull.entity';
import { ShotTrace } from '../shots/trace.entity';
import { Station } from '../stations/station.entity';
import { Tasting, TastingEdit } from '../tastings/tasting.entity';
import { Import, ImportMatch } from '../transfer/import.entity';

/** Every table. A new one is an entity and a line here. */
export const MODELS = [
  Shop,
  Grinder,
  Machine,
  Basket,
  Coffee,
  Bag,
  Station,
  Run,
  Shot,
  ShotEdit,
  Tasting,
  TastingEdit,
  Tablet,
  Card,
  CardVersion,
  CardProposal,
  PersonPalate,
  BarScale,
  DoseWeighing,
  FoundDose,
  OwnMethod,
  Opening,
  Person,
  CoffeeChange,
  DayMove,
  StationEvent,
  Keeper,
  BasketRow,
  Preparation,
  CareDone,
  CareRule,
  Drink,
  MachineButton,
  HandOver,
  RoomReading,
  Device,
  Pull,
  ShotTrace,
  Import,
  ImportMatch,
];

import { Injectable } from '@nestjs/common';
import {
  ageingBetween,
  carry,
  plainNumber,
  proposeAim,
  recommendMethod,
  restOf,
  shopDay,
  tasteTarget,
  usualSlope,
  type CarriedStart,
  type ShopHours,
} from '@olvet/core';
import { Op } from 'sequelize';
import { Bag } from '../bags/bag.entity';
import { Basket } from '../baskets/basket.entity';
import { Card, CardVersion } from '../cards/card.entity';
import { Clock } from '../clock/clock';
import { Coffee } from '../coffees/coffee.entity';
import { notFound } from '../common/problem';
import type { TargetDto } from '../common/target.dto';
import { FoundDose } from '../doses/foundDose.entity';
import { Grinder } from '../grinders/grinder.entity';
import { StartsService } from '../lessons/starts.service';
import { Machine } from '../machines/machine.entity';
import { Person } from '../people/person.entity';
import { Run } from '../runs/run.entity';
import { ShopService } from '../shop/shop.service';
import { Station } from '../stations/station.entity';
import type { ProposalView } from './proposal.dto';

/** ln of the time a recipe pours weeks later, besides its age: another bag, other burrs, other air. */
const COME_BACK_SD = 0.08;

interface Place {
  station: Station;
  coffee: Coffee;
  grinder: Grinder;
  machine: Machine;
  basket: Basket;
}

/** How a station would begin with another coffee: from its card here where it has one, else from what is known. */
@Injectable()
export class ProposalsService {
  constructor(
    private readonly starts: StartsService,
    private readonly shops: ShopService,
    private readonly clock: Clock,
  ) {}

  async read(shopId: string, stationId: string, coffeeId: string): Promise<ProposalView> {
    const place = await placeOf(shopId, stationId, coffeeId);
    const hours = await this.shops.hours(shopId);
    const bag = await this.bagOf(shopId, coffeeId, hours);
    const card = await Card.findOne({
      where: { shopId, coffeeId, stationId, retiredAt: null },
      order: [['updatedAt', 'DESC']],
    });
    const common = { coffeeId, coffeeName: place.coffee.name, bagId: bag?.id ?? null, cardId: card?.id ?? null };
    const rest = card ? await this.back(card, place, { bag, hours }) : await this.first(shopId, place);
    return { ...common, ...rest };
  }

  /** The newest bag that is not finished, one that is open before one that is not. */
  private async bagOf(shopId: string, coffeeId: string, hours: ShopHours): Promise<Bag | null> {
    const today = shopDay(this.clock.now(), hours);
    const bags = await Bag.findAll({
      where: { shopId, coffeeId, finishedAt: null, roastedOn: { [Op.or]: { [Op.lte]: today, [Op.is]: null } } },
      order: [['roastedOn', 'DESC NULLS LAST']],
      limit: 20,
    });
    return bags.find(({ openedOn }) => openedOn !== null) ?? bags[0] ?? null;
  }

  /** As its card says, with the setting moved by what the days since have done to the coffee. */
  private async back(card: Card, place: Place, now: { bag: Bag | null; hours: ShopHours }) {
    const { shopId, id: cardId } = card;
    const version = await CardVersion.findOne({
      where: { shopId, cardId },
      order: [['version', 'DESC']],
      rejectOnEmpty: true,
    });
    const { recipe, runId } = version;
    const run = runId ? await Run.findOne({ where: { shopId, id: runId } }) : null;
    const { grind, sd, reason } = await this.aged(version, run?.endedAt ?? version.createdAt, place, now);
    const { doseGrams, yieldGrams, temperatureC, timeSeconds, timer } = recipe;
    const taste = tasteWanted(place.coffee);
    const target: TargetDto = {
      doseGrams,
      yieldGrams,
      temperatureC: temperatureC ?? null,
      timeSeconds,
      timer,
      ...taste,
    };
    return {
      methodId: run?.methodId ?? place.station.methodId,
      target,
      grind,
      grindSd: sd,
      reasons: [`Its card ${card.name}, version ${version.version}, comes back.`, reason],
    };
  }

  private async aged(
    { shopId, recipe }: CardVersion,
    keptAt: Date,
    { coffee, grinder }: Place,
    { bag, hours }: { bag: Bag | null; hours: ShopHours },
  ): Promise<CarriedStart & { reason: string }> {
    const answering = answeringOf(grinder);
    const keptOn = shopDay(keptAt, hours);
    const today = shopDay(this.clock.now(), hours);
    const then = await Bag.findOne({
      where: { shopId, coffeeId: coffee.id, roastedOn: { [Op.lte]: keptOn } },
      order: [['roastedOn', 'DESC']],
    });
    if (!then?.roastedOn || !bag?.roastedOn) {
      const stays = carry(recipe.grind, 0, COME_BACK_SD, answering);
      return { ...stays, reason: 'Its roast day is not known: the setting of the card, not corrected for age.' };
    }
    const restedOn = ({ roastedOn, frozen }: Bag, day: string) =>
      restOf({ roastedOn: roastedOn!, today: day, roast: coffee.roast, frozen });
    const [before, now] = [restedOn(then, keptOn), restedOn(bag, today)];
    // Past its best a coffee has done what age can do.
    const [from, to] = [before, now].map(({ ageDays }) => Math.min(ageDays, now.band.pastDay));
    const change = ageingBetween(from!, to!, now.band);
    const moved = carry(recipe.grind, -change, Math.hypot(COME_BACK_SD, change / 2), answering);
    const percent = plainNumber(Math.abs(100 * Math.expm1(change)), 0);
    const pours =
      percent === '0'
        ? 'it should pour as it did'
        : `it should pour about ${percent} % ${change < 0 ? 'faster' : 'slower'}`;
    const was = `On day ${Math.round(before.ageDays)} it stood at ${plainNumber(recipe.grind)}`;
    return {
      ...moved,
      reason: `${was}; now, on day ${Math.round(now.ageDays)}, ${pours}: ${plainNumber(moved.grind)}.`,
    };
  }

  private async first(shopId: string, place: Place) {
    const { station, coffee, grinder, machine, basket } = place;
    const people = await Person.count({ where: { shopId, retiredAt: null } });
    const { method, reasons } = recommendMethod({
      ...{ roast: coffee.roast, altitudeM: coffee.altitudeM, people },
      ...{ canSetTemperature: machine.temperatureC !== null, preBrew: machine.preBrew },
    });
    const where = { shopId, basketId: basket.id, coffeeId: coffee.id };
    const found = await FoundDose.findOne({ where, order: [['foundAt', 'DESC']] });
    const doseGrams = found?.grams ?? basket.nominalGrams;
    const aim = proposeAim(method, { doseGrams, roast: coffee.roast, temperatureScale: machine.temperatureC });
    const { min, max } = aim.timeSeconds;
    const start = await this.starts.suggest(shopId, {
      ...{ grinderId: grinder.id, coffeeId: coffee.id, basketId: station.basketId },
      ...{ doseGrams: aim.doseGrams, yieldGrams: aim.yieldGrams, middleSeconds: (min + max) / 2 },
    });
    const witness = start?.from[0];
    return {
      methodId: method.id,
      target: { ...aim, ...tasteWanted(coffee) },
      grind: start?.grind ?? null,
      grindSd: start?.sd ?? null,
      reasons: [
        ...reasons,
        found
          ? `${plainNumber(found.grams)} g were found to fill this basket with it.`
          : `${plainNumber(basket.nominalGrams)} g is what the basket is made for.`,
        witness
          ? `${grinder.name} has kept ${witness.coffeeName} at ${plainNumber(witness.grind)}, so it begins at ${plainNumber(start.grind)}.`
          : `${grinder.name} has kept no recipe yet: begin with the hand check.`,
      ],
    };
  }
}

async function placeOf(shopId: string, stationId: string, coffeeId: string): Promise<Place> {
  const station = await Station.findOne({ where: { shopId, id: stationId } });
  if (!station) throw notFound('station');
  const coffee = await Coffee.findOne({ where: { shopId, id: coffeeId } });
  if (!coffee) throw notFound('coffee');
  const own = (id: string) => ({ where: { shopId, id }, rejectOnEmpty: true as const });
  const [grinder, machine, basket] = await Promise.all([
    Grinder.findOne(own(station.grinderId)),
    Machine.findOne(own(station.machineId)),
    Basket.findOne(own(station.basketId)),
  ]);
  return { station, coffee, grinder, machine, basket };
}

function answeringOf({ min, max, step, finer, learnedSlope }: Grinder) {
  const scale = { min, max, step };
  return { scale, finer, slope: learnedSlope ?? usualSlope(scale) };
}

function tasteWanted({ flavourGoal, bodyGoal, drunkAs }: Coffee): { balance: number; body: number } {
  return tasteTarget({ flavour: flavourGoal, body: bodyGoal, drunkAs });
}

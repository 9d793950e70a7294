import { Injectable } from '@nestjs/common';
import { foundTime, spreadInService, type FoundTime } from '@olvet/core';
import { Op, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { Coffee } from '../coffees/coffee.entity';
import { notFound, Problem } from '../common/problem';
import type { ListQuery, Page } from '../common/rows';
import { writeOnce } from '../common/writeOnce';
import { shown } from '../database/owned.model';
import { checkOnScale } from '../grinders/onScale';
import { LearningService } from '../learning/learning.service';
import { whoIsThere } from '../people/whoIsThere';
import { Run } from '../runs/run.entity';
import { Shot } from '../shots/shot.entity';
import { Station } from '../stations/station.entity';
import type { CardDetailView, CardView, KeepCardDto, MoveFoundTimeDto } from './card.dto';
import { Card, CardProposal, CardVersion } from './card.entity';

/** Shots in service whose spread is that of today. */
const NEWEST_SHOTS = 60;

@Injectable()
export class CardsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly learning: LearningService,
    private readonly clock: Clock,
  ) {}

  async list(shopId: string, query: ListQuery): Promise<Page<CardView>> {
    const page = query.page ?? 1;
    const pageSize = query.pageSize ?? 50;
    const where = {
      shopId,
      retiredAt: null,
      ...(query.coffeeId ? { coffeeId: query.coffeeId } : {}),
      ...(query.stationId ? { stationId: query.stationId } : {}),
    };
    const { rows, count } = await Card.findAndCountAll({
      where,
      order: [['updatedAt', 'DESC']],
      limit: pageSize,
      offset: (page - 1) * pageSize,
    });
    return { items: await this.withLatest(shopId, rows), total: count, page, pageSize };
  }

  async get(shopId: string, id: string): Promise<CardDetailView> {
    const card = await Card.findOne({ where: { shopId, id } });
    if (!card) throw notFound('card');
    const [withLatest] = await this.withLatest(shopId, [card]);
    const versions = await CardVersion.findAll({ where: { shopId, cardId: id }, order: [['version', 'DESC']] });
    const [latest, ...earlier] = versions.map((version) => shown(version.toJSON<CardVersion>()));
    const learned = { ...latest!, found: await this.inService(shopId, latest!) };
    const [kept, proposals] = await Promise.all([
      latest!.shotId ? Shot.findOne({ attributes: ['traced'], where: { shopId, id: latest!.shotId } }) : null,
      CardProposal.findAll({ where: { shopId, cardId: id, answer: null }, order: [['createdAt', 'ASC']] }),
    ]);
    return {
      ...withLatest!,
      ...{ latest: learned, versions: [learned, ...earlier] },
      ...{ reference: kept?.traced?.line ?? null, proposals: proposals.map(shown) },
    };
  }

  /** The found time with the spread that service has shown since. */
  private async inService(shopId: string, { id, found }: Pick<CardVersion, 'id' | 'found'>): Promise<FoundTime | null> {
    if (!found) return null;
    const shots = await Shot.findAll({
      attributes: ['timeSeconds'],
      where: { shopId, cardVersionId: id, removedAt: null, cause: null, timeSeconds: { [Op.ne]: null } },
      order: [['pulledAt', 'DESC']],
      limit: NEWEST_SHOTS,
    });
    return spreadInService(found, shots.map(({ timeSeconds }) => timeSeconds!).reverse());
  }

  /** A person's word: a new version, its recipe unchanged. Sent twice it is made once. */
  async moveFoundTime(shopId: string, cardId: string, { versionId, seconds, note }: MoveFoundTimeDto) {
    await writeOnce(this.sequelize, async (transaction) => {
      const card = await Card.findOne({ where: { shopId, id: cardId }, transaction, lock: true });
      if (!card) throw notFound('card');
      if (await CardVersion.findOne({ where: { shopId, id: versionId, cardId }, transaction })) return;
      const last = await CardVersion.findOne({
        where: { shopId, cardId },
        order: [['version', 'DESC']],
        transaction,
        rejectOnEmpty: true,
      });
      const { version, runId, shotId, recipe, tastesLike, found } = last;
      const moved = foundTime([{ ...recipe, timeSeconds: seconds }], recipe)!;
      await CardVersion.create(
        {
          ...{ shopId, id: versionId, cardId, version: version + 1, runId, shotId, recipe, tastesLike, note },
          found: found ? { ...found, seconds } : moved,
          setBy: whoIsThere() ?? '',
        },
        { transaction },
      );
      await card.update({ revision: card.revision + 1 }, { transaction });
    });
    return this.get(shopId, cardId);
  }

  /** Printed is what stands: not a change of the recipe. */
  async printed(shopId: string, id: string, version: number): Promise<CardDetailView> {
    if (!(await CardVersion.count({ where: { shopId, cardId: id, version } }))) {
      if (!(await Card.count({ where: { shopId, id } }))) throw notFound('card');
      throw new Problem('invalid', 'This card has no such version.', [
        { path: 'version', message: 'is none of this card' },
      ]);
    }
    await Card.update({ printedVersion: version }, { where: { shopId, id }, silent: true });
    return this.get(shopId, id);
  }

  /**
   * Ends a dial-in with its recipe: card, version, run, station and that a lesson is due, all or nothing.
   * Sent twice with the same version id it changes nothing the second time.
   */
  async keep(shopId: string, runId: string, dto: KeepCardDto): Promise<CardDetailView> {
    const grinderId = await writeOnce(this.sequelize, async (transaction) => {
      const run = await Run.findOne({ where: { shopId, id: runId }, transaction, lock: true });
      if (!run) throw notFound('dial-in');
      const known = await CardVersion.findOne({ where: { shopId, id: dto.versionId }, transaction });
      if (known) {
        if (known.cardId === dto.cardId && known.runId === runId) return run.grinderId;
        throw new Problem('invalid', 'This version belongs elsewhere.', [
          { path: 'versionId', message: 'is already used by another one: choose another' },
        ]);
      }
      if (run.status !== 'open') {
        throw new Problem('conflict', 'This dial-in is closed already.', [
          { path: 'runId', message: 'is a closed dial-in: open a new one to change the card' },
        ]);
      }
      const place = { shopId, grinderId: run.grinderId, grind: dto.recipe.grind, path: 'recipe.grind' };
      await checkOnScale(place, transaction);
      await this.addVersion(shopId, run, dto, transaction);
      await run.update({ status: 'kept', endedAt: this.endOf(run), revision: run.revision + 1 }, { transaction });
      await this.setStation(shopId, run, dto, transaction);
      await this.learning.enqueue(run, transaction);
      return run.grinderId;
    });
    await this.learning.settled(shopId, grinderId);
    return this.get(shopId, dto.cardId);
  }

  /** A tablet's clock may be ahead of the server's; a dial-in still does not end before it began. */
  private endOf({ startedAt }: Run): Date {
    return new Date(Math.max(this.clock.now().getTime(), startedAt.getTime()));
  }

  private async addVersion(shopId: string, run: Run, dto: KeepCardDto, transaction: Transaction): Promise<void> {
    const { cardId, versionId, name, purpose, shotId, recipe, tastesLike, setBy, note } = dto;
    if (shotId && !(await Shot.findOne({ where: { shopId, id: shotId, runId: run.id }, transaction }))) {
      throw new Problem('invalid', 'This shot is of another dial-in.', [
        { path: 'shotId', message: 'must be a shot of this dial-in' },
      ]);
    }
    const card = await Card.findOne({ where: { shopId, id: cardId }, transaction, lock: true });
    if (card && card.coffeeId !== run.coffeeId) {
      throw new Problem('invalid', 'This card is for another coffee.', [
        { path: 'cardId', message: 'is a card of another coffee: make a new card' },
      ]);
    }
    if (card) await card.update({ name, purpose, revision: card.revision + 1 }, { transaction });
    else {
      const place = { coffeeId: run.coffeeId, stationId: run.stationId };
      await Card.create({ shopId, id: cardId, name, purpose, ...place }, { transaction });
    }
    const last = (await CardVersion.max('version', { where: { shopId, cardId }, transaction })) as number | null;
    await CardVersion.create(
      {
        shopId,
        id: versionId,
        cardId,
        version: (last ?? 0) + 1,
        runId: run.id,
        shotId: shotId ?? null,
        recipe,
        found: await this.foundIn(run, recipe, transaction),
        tastesLike: tastesLike ?? '',
        setBy: setBy || (whoIsThere() ?? ''),
        note: note ?? '',
      },
      { transaction },
    );
  }

  private async foundIn({ shopId, id }: Run, recipe: KeepCardDto['recipe'], transaction: Transaction) {
    const shots = await Shot.findAll({ where: { shopId, runId: id, removedAt: null }, transaction });
    return foundTime(shots, recipe);
  }

  /** The grinder stands where the card says from now on, and the station aims at the card. */
  private async setStation(shopId: string, run: Run, dto: KeepCardDto, transaction: Transaction): Promise<void> {
    const station = await Station.findOne({ where: { shopId, id: run.stationId }, transaction, rejectOnEmpty: true });
    const { grind, doseGrams, yieldGrams, temperatureC, timeSeconds, timer } = dto.recipe;
    const target = { ...run.target, doseGrams, yieldGrams, temperatureC: temperatureC ?? null, timeSeconds, timer };
    await station.update(
      { grind, target, coffeeId: run.coffeeId, methodId: run.methodId, revision: station.revision + 1 },
      { transaction },
    );
  }

  /** The newest version of each card, one row a card however long its history is. */
  private async latestVersions(shopId: string, cardIds: string[]): Promise<CardVersion[]> {
    if (cardIds.length === 0) return [];
    return this.sequelize.query(
      `SELECT DISTINCT ON ("cardId") * FROM card_versions
       WHERE "shopId" = :shopId AND "cardId" IN (:cardIds) ORDER BY "cardId", "version" DESC`,
      { replacements: { shopId, cardIds }, model: CardVersion, mapToModel: true },
    );
  }

  private async withLatest(shopId: string, cards: Card[]): Promise<CardView[]> {
    const ids = (pick: (card: Card) => string) => ({ [Op.in]: [...new Set(cards.map(pick))] });
    const [versions, coffees, stations] = await Promise.all([
      this.latestVersions(
        shopId,
        cards.map(({ id }) => id),
      ),
      Coffee.findAll({ where: { shopId, id: ids((c) => c.coffeeId) } }),
      Station.findAll({ where: { shopId, id: ids((c) => c.stationId) } }),
    ]);
    const latest = new Map(versions.map((version) => [version.cardId, version]));
    const coffeeNames = new Map(coffees.map((coffee) => [coffee.id, coffee.name]));
    const stationNames = new Map(stations.map((station) => [station.id, station.name]));
    return cards.map((card) => ({
      ...shown(card.toJSON<Card>()),
      coffeeName: coffeeNames.get(card.coffeeId) ?? '',
      stationName: stationNames.get(card.stationId) ?? '',
      latest: shown(latest.get(card.id)!),
    }));
  }
}

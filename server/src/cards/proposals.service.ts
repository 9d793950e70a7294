import { Injectable } from '@nestjs/common';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { notFound, Problem } from '../common/problem';
import { writeOnce } from '../common/writeOnce';
import { checkOnScale } from '../grinders/onScale';
import { Person } from '../people/person.entity';
import { whoIsThere } from '../people/whoIsThere';
import { Station } from '../stations/station.entity';
import type { AnswerProposalDto, LastPulledView, ProposeCardDto, RecipeDto } from './card.dto';
import { Card, CardProposal, CardVersion } from './card.entity';

/** What makes a recipe another one: a time that was found with the one says nothing of the other. */
const SAME_SHOT = ['grind', 'doseGrams', 'yieldGrams', 'temperatureC', 'basketName', 'timer'] as const;

/** A recipe is proposed by one and made current by another. */
@Injectable()
export class ProposalsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly clock: Clock,
  ) {}

  /** Sent twice it is proposed once. */
  async propose(shopId: string, cardId: string, id: string, dto: ProposeCardDto): Promise<void> {
    await writeOnce(this.sequelize, async (transaction) => {
      const card = await Card.findOne({ where: { shopId, id: cardId, retiredAt: null }, transaction });
      if (!card) throw notFound('card');
      const known = await CardProposal.findOne({ where: { shopId, id }, transaction });
      if (known?.cardId === cardId) return;
      if (known) {
        throw new Problem('invalid', 'This proposal belongs elsewhere.', [
          { path: 'id', message: 'is already used by another one: choose another' },
        ]);
      }
      await this.checkScale(shopId, card, dto.recipe, transaction);
      const { recipe, tastesLike, note } = dto;
      const said = { recipe, tastesLike: tastesLike ?? '', note, proposedBy: whoIsThere() ?? '' };
      await CardProposal.create({ shopId, id, cardId, ...said }, { transaction });
    });
  }

  /** Taken, it is the card's next version, and the station aims at it. Sent twice it is answered once. */
  async answer(shopId: string, id: string, dto: AnswerProposalDto): Promise<string> {
    return writeOnce(this.sequelize, async (transaction) => {
      const proposal = await CardProposal.findOne({ where: { shopId, id }, transaction, lock: true });
      if (!proposal) throw notFound('proposal');
      if (proposal.answer === dto.answer) return proposal.cardId;
      if (proposal.answer !== null) {
        throw new Problem('conflict', 'This proposal is answered already.', [
          { path: 'answer', message: `is ${proposal.answer} already: propose it again to change that` },
        ]);
      }
      if (dto.answer === 'taken') await this.take(proposal, dto, transaction);
      const answered = { answer: dto.answer, answeredAt: this.clock.now(), answeredBy: whoIsThere() ?? '' };
      await proposal.update({ ...answered, revision: proposal.revision + 1 }, { transaction });
      return proposal.cardId;
    });
  }

  private async take(proposal: CardProposal, dto: AnswerProposalDto, transaction: Transaction): Promise<void> {
    const { shopId, cardId, recipe, tastesLike, note, proposedBy } = proposal;
    await this.checkAnother(proposal, transaction);
    if (!dto.versionId) {
      throw new Problem('invalid', 'The version it makes needs an id.', [
        { path: 'versionId', message: 'must be a UUID where a proposal is taken' },
      ]);
    }
    const card = await Card.findOne({ where: { shopId, id: cardId }, transaction, lock: true, rejectOnEmpty: true });
    await this.checkScale(shopId, card, recipe, transaction);
    const last = await CardVersion.findOne({
      where: { shopId, cardId },
      order: [['version', 'DESC']],
      transaction,
      rejectOnEmpty: true,
    });
    const isSame = SAME_SHOT.every((part) => (recipe[part] ?? null) === (last.recipe[part] ?? null));
    await CardVersion.create(
      {
        ...{ shopId, id: dto.versionId, cardId, version: last.version + 1, recipe },
        ...(isSame ? { runId: last.runId, shotId: last.shotId, found: last.found } : {}),
        tastesLike: tastesLike || last.tastesLike,
        setBy: whoIsThere() ?? '',
        note: [proposedBy && `proposed by ${proposedBy}`, note, dto.note].filter(Boolean).join('; '),
      },
      { transaction },
    );
    await card.update({ revision: card.revision + 1 }, { transaction });
    await this.aimAt(shopId, card, recipe, transaction);
  }

  /** Where there are others, nobody takes what they proposed themselves. */
  private async checkAnother({ shopId, proposedBy }: CardProposal, transaction: Transaction): Promise<void> {
    if (proposedBy === '' || whoIsThere() !== proposedBy) return;
    const others = { shopId, retiredAt: null, name: { [Op.ne]: proposedBy } };
    if (!(await Person.count({ where: others, transaction }))) return;
    throw new Problem('invalid', 'A proposal is made current by somebody else.', [
      { path: 'answer', message: `needs another person than ${proposedBy}: choose who stands at the tablet` },
    ]);
  }

  private async checkScale(
    shopId: string,
    { stationId }: Card,
    { grind }: RecipeDto,
    transaction: Transaction,
  ): Promise<void> {
    const station = await Station.findOne({ where: { shopId, id: stationId }, transaction, rejectOnEmpty: true });
    await checkOnScale({ shopId, grinderId: station.grinderId, grind, path: 'recipe.grind' }, transaction);
  }

  /** Only while this coffee stands there. Where the grinder stands nobody has said by it. */
  private async aimAt(shopId: string, card: Card, recipe: RecipeDto, transaction: Transaction): Promise<void> {
    const where = { shopId, id: card.stationId, coffeeId: card.coffeeId };
    const station = await Station.findOne({ where, transaction });
    if (!station) return;
    const { doseGrams, yieldGrams, temperatureC, timeSeconds, timer } = recipe;
    const aim = { doseGrams, yieldGrams, temperatureC: temperatureC ?? null, timeSeconds, timer };
    const target = { ...station.target, ...aim };
    await station.update({ target, revision: station.revision + 1 }, { transaction });
  }

  /** By which version of a card somebody pulled last. */
  async lastPulled(shopId: string, cardId: string, person: string): Promise<LastPulledView> {
    if (!(await Card.count({ where: { shopId, id: cardId } }))) throw notFound('card');
    const [last] = await this.sequelize.query<LastPulledView>(
      `SELECT v."version", x."pulledAt" FROM card_versions v
       -- Lateral, so that each version's newest shots come from their index.
       CROSS JOIN LATERAL (
         SELECT "pulledAt" FROM shots
         WHERE "shopId" = v."shopId" AND "cardVersionId" = v."id" AND "pulledBy" = :person AND "removedAt" IS NULL
         ORDER BY "pulledAt" DESC LIMIT 1) x
       WHERE v."shopId" = :shopId AND v."cardId" = :cardId ORDER BY x."pulledAt" DESC LIMIT 1`,
      { replacements: { shopId, cardId, person }, type: QueryTypes.SELECT },
    );
    return last ?? { version: null, pulledAt: null };
  }
}

import type { FoundTime } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import type { ProposalAnswer, RecipeDto } from './card.dto';

@Table({ tableName: 'cards' })
export class Card extends Owned {
  @Column(DataType.TEXT)
  declare name: string;

  @Column(DataType.UUID)
  declare coffeeId: string;

  @Column(DataType.UUID)
  declare stationId: string;

  @Column({ type: DataType.TEXT, defaultValue: 'black' })
  declare purpose: 'black' | 'milk';

  @Column(DataType.DATE)
  declare retiredAt: Date | null;

  /** The version that was printed last; null where none was. */
  @Column(DataType.INTEGER)
  declare printedVersion: number | null;
}

/** One state of a recipe. Versions are only ever added. */
@Table({ tableName: 'card_versions' })
export class CardVersion extends Owned {
  @Column(DataType.UUID)
  declare cardId: string;

  @Column(DataType.INTEGER)
  declare version: number;

  @Column(DataType.UUID)
  declare runId: string | null;

  /** The shot it was kept from; null where it was kept from a plan. */
  @Column(DataType.UUID)
  declare shotId: string | null;

  @Column(DataType.JSONB)
  declare recipe: RecipeDto;

  /** The time this recipe was found at, and how far single shots lie from it. */
  @Column(DataType.JSONB)
  declare found: FoundTime | null;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare tastesLike: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare setBy: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare note: string;
}

/** A recipe that somebody would like a card to have. Taken, it becomes a version; it never is one before. */
@Table({ tableName: 'card_proposals' })
export class CardProposal extends Owned {
  @Column(DataType.UUID)
  declare cardId: string;

  @Column(DataType.JSONB)
  declare recipe: RecipeDto;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare tastesLike: string;

  @Column(DataType.TEXT)
  declare note: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare proposedBy: string;

  @Column(DataType.TEXT)
  declare answer: ProposalAnswer | null;

  @Column(DataType.DATE)
  declare answeredAt: Date | null;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare answeredBy: string;
}

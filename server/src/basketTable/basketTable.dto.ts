import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { LENGTH_CODES, LIMITS, TIMER_STARTS, type BasketSize, type Length, type TimerStart } from '@olvet/core';
import { ChoiceField, IdField, InstantField, NumberField, PartField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';
import { SecondsWindowDto } from '../common/target.dto';

export class BasketRowDto extends RevisionDto {
  @IdField()
  coffeeId!: string;

  @IdField()
  basketId!: string;

  @ChoiceField({ of: LENGTH_CODES, name: 'ShotLength' })
  length!: Length;

  @NumberField(LIMITS.doseGrams)
  doseGrams!: number;

  @NumberField(LIMITS.yieldGrams)
  yieldGrams!: number;

  @PartField(() => SecondsWindowDto)
  timeSeconds!: SecondsWindowDto;

  @InstantField({ optional: true, description: 'Set to go back to what Olvet works out' })
  retiredAt?: string | null;
}

export class BasketRowView extends IntersectionType(OmitType(BasketRowDto, ['revision']), RowView) {
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) override retiredAt!: string | null;
}

export class BasketTableQuery {
  @IdField({ description: 'The coffee' })
  coffeeId!: string;

  @IdField({ optional: true, description: 'The card it is made from; left out: the one changed last' })
  cardId?: string;
}

/** One basket at one length, at the card's grind. */
export class BasketCellView {
  @ApiProperty({ enum: LENGTH_CODES, enumName: 'ShotLength' }) length!: Length;
  @ApiProperty() doseGrams!: number;
  @ApiProperty() yieldGrams!: number;
  @ApiProperty({ description: 'Yield over dose' }) ratio!: number;
  @ApiProperty({ type: SecondsWindowDto }) timeSeconds!: SecondsWindowDto;
  @ApiProperty({ description: 'Where it would run in the card’s own time' }) grind!: number;
  @ApiProperty({ description: 'Units finer than the card; below zero: coarser' }) unitsFiner!: number;
  @ApiProperty({ type: BasketRowView, nullable: true, description: 'What the shop says itself; it stands above' })
  saved!: BasketRowView | null;
}

export class TableBasketView {
  @ApiProperty({ format: 'uuid' }) basketId!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ enum: ['single', 'double', 'triple'], enumName: 'BasketSize' }) size!: BasketSize;
  @ApiProperty({ description: 'It is the card’s own' }) isCard!: boolean;
  @ApiProperty({ type: 'integer', description: 'Shots pulled in it that corrected its times; 0: its bed alone' })
  shots!: number;
  @ApiProperty({ type: [BasketCellView], description: 'Short, normal, long' }) cells!: BasketCellView[];
}

export class TableCardView {
  @ApiProperty({ format: 'uuid' }) cardId!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ type: 'integer' }) version!: number;
  @ApiProperty() grinderName!: string;
  @ApiProperty() grind!: number;
  @ApiProperty({ enum: TIMER_STARTS, enumName: 'TimerStart' }) timer!: TimerStart;
}

export class BasketTableView {
  @ApiProperty({ type: TableCardView, nullable: true, description: 'null: no card of this coffee yet' })
  card!: TableCardView | null;
  @ApiProperty({ type: [TableBasketView], description: 'The smallest first' }) baskets!: TableBasketView[];
}

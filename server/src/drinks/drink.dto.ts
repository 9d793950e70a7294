import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import {
  BUTTON_KINDS,
  FOAMS,
  LIMITS,
  MILKS,
  POURING,
  type ButtonKind,
  type Foam,
  type Milk,
  type Pouring,
} from '@olvet/core';
import { ChoiceField, IdField, InstantField, NumberField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

class OnCardDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @IdField({ description: 'The card it hangs on' })
  cardId!: string;

  @NumberField({ min: 1, max: 1e6, integer: true, description: 'The version of the card it is in line with' })
  cardVersion!: number;

  @NumberField({ ...LIMITS.cardShare, description: 'Of the card’s yield: half of a double, all of it, two' })
  share!: number;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class DrinkDto extends OnCardDto {
  @NumberField(LIMITS.cupMl)
  cupMl!: number;

  @NumberField(LIMITS.partMl)
  milkMl!: number;

  @ChoiceField({ of: MILKS, name: 'Milk' })
  milk!: Milk;

  @ChoiceField({ of: FOAMS, name: 'Foam' })
  foam!: Foam;

  @NumberField(LIMITS.partMl)
  waterMl!: number;

  @ChoiceField({ of: POURING, name: 'Pouring' })
  pouring!: Pouring;
}

export class DrinkView extends IntersectionType(OmitType(DrinkDto, ['revision']), RowView) {
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) override retiredAt!: string | null;
}

export class MachineButtonDto extends OnCardDto {
  @IdField()
  machineId!: string;

  @ChoiceField({ of: BUTTON_KINDS, name: 'ButtonKind' })
  kind!: ButtonKind;
}

export class MachineButtonView extends IntersectionType(OmitType(MachineButtonDto, ['revision']), RowView) {
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) override retiredAt!: string | null;
}

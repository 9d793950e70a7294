import { ApiProperty } from '@nestjs/swagger';
import { IdField } from '../common/fields';
import { TargetDto } from '../common/target.dto';

export class ProposalQuery {
  @IdField()
  coffeeId!: string;
}

/** How a station would begin with another coffee. */
export class ProposalView {
  @ApiProperty({ format: 'uuid' }) coffeeId!: string;
  @ApiProperty() coffeeName!: string;
  @ApiProperty() methodId!: string;
  @ApiProperty({ type: TargetDto }) target!: TargetDto;
  @ApiProperty({ type: Number, nullable: true, description: 'Where to set the grinder; null where nothing tells' })
  grind!: number | null;
  @ApiProperty({ type: Number, nullable: true, description: 'Its spread, in units of the grinder' })
  grindSd!: number | null;
  @ApiProperty({ type: [String], description: 'Why this method, this aim and this setting' }) reasons!: string[];
  @ApiProperty({ type: String, nullable: true, description: 'The card it comes back to, where it has one here' })
  cardId!: string | null;
  @ApiProperty({ type: String, nullable: true, description: 'The bag in use, or the next one on the shelf' })
  bagId!: string | null;
}

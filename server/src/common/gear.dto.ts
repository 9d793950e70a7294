import { IdField, MethodIdField, PartField } from './fields';
import { RevisionDto } from './rows';
import { TargetDto } from './target.dto';

/** What a station is made of, and what a dial-in was made with. */
export class GearDto extends RevisionDto {
  @IdField()
  grinderId!: string;

  @IdField()
  machineId!: string;

  @IdField()
  basketId!: string;

  @IdField()
  coffeeId!: string;

  @MethodIdField()
  methodId!: string;

  @PartField(() => TargetDto)
  target!: TargetDto;
}

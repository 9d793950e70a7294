import { ApiProperty } from '@nestjs/swagger';
import { DayField, IdField, PartField } from '../common/fields';
import { SheetShotView, ShotDto, ShotView } from '../shots/shot.dto';

/** Far more than one station pours in a day; the page stays quick. */
export const MOST_SHOTS_A_DAY = 1000;
const MOST_LINES = 100;

export class DayQuery {
  @DayField({ optional: true, description: 'The shop’s day; today where left out' })
  day?: string;
}

export class DayView {
  @ApiProperty({ format: 'date' }) day!: string;
  @ApiProperty({ type: [SheetShotView], description: 'Newest first; removed ones left out' }) shots!: SheetShotView[];
}

export class NewShotDto extends ShotDto {
  @IdField()
  id!: string;
}

/** Shots that are stored together: all of them or none. */
export class SeveralShotsDto {
  @PartField(() => NewShotDto, { many: true, maxItems: MOST_LINES })
  shots!: NewShotDto[];
}

export class SeveralShotsView {
  @ApiProperty({ type: [ShotView] }) shots!: ShotView[];
}

import type { SheetShotView, ShotDto, ShotView } from '../app/api';
import { withoutRow } from '../parts/withoutRow';

/** A poured shot as it was stored, to be sent again with a change. */
export function storedShotDto(shot: SheetShotView | ShotView, change: Partial<ShotDto>): ShotDto {
  const { tastings: _tastings, ...stored } = withoutRow({ tastings: [], ...shot });
  return { ...stored, ...change };
}

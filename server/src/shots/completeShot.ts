import { gramsFromMillilitres, roundTo, type FieldError } from '@olvet/core';
import { Problem } from '../common/problem';
import type { ShotDto } from './shot.dto';

/** Two cups add up to a yield within the scale's last digit. */
const SCALE_STEP_GRAMS = 0.1;

/**
 * A shot with what follows from what was said: the yield of its cups or of its glass, assumed figures from the plan, and what
 * kind of shot it is.
 * @throws Problem where cups and yield disagree, or nothing was planned that could be assumed
 */
export function completeShot<T extends ShotDto>(dto: T): T {
  const poured = { ...dto, yieldGrams: dto.yieldGrams ?? yieldOf(dto) };
  const assumed = Object.fromEntries(
    (dto.assumed ?? []).flatMap((figure) => (poured[figure] == null ? [[figure, dto.planned?.[figure] ?? null]] : [])),
  );
  const kind = dto.runId ? 'dial-in' : dto.kind === 'check' ? 'check' : 'service';
  const shot = { ...poured, ...assumed, kind } as T;
  const errors = [...cupErrors(shot), ...assumedErrors(shot)];
  if (errors.length > 0) throw new Problem('invalid', 'This shot cannot be right.', errors);
  return shot;
}

function yieldOf({ cupGrams, yieldMl }: ShotDto): number | null {
  if (cupGrams && cupGrams.length > 0) return sumOf(cupGrams);
  return yieldMl == null ? null : roundTo(gramsFromMillilitres(yieldMl), 1);
}

/** One cup weighed stands for both. */
function sumOf(cups: readonly number[]): number {
  return roundTo(cups.length === 1 ? 2 * cups[0]! : cups[0]! + cups[1]!, 1);
}

function cupErrors({ cupGrams, yieldGrams }: ShotDto): FieldError[] {
  if (!cupGrams) return [];
  if (cupGrams.length === 0) return [{ path: 'cupGrams', message: 'must hold one cup or two, or be left out' }];
  if (Math.abs(sumOf(cupGrams) - yieldGrams!) <= SCALE_STEP_GRAMS + 1e-9) return [];
  return [{ path: 'cupGrams', message: `make ${sumOf(cupGrams)} g, not the yield of ${yieldGrams} g` }];
}

function assumedErrors(shot: ShotDto): FieldError[] {
  return (shot.assumed ?? []).flatMap((figure, i) =>
    shot[figure] == null ? [{ path: `assumed[${i}]`, message: `${figure} was neither measured nor planned` }] : [],
  );
}

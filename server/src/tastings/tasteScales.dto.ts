import { LIMITS } from '@olvet/core';
import { NumberField } from '../common/fields';
import { RevisionDto } from '../common/rows';

/** The advice contract's scales of taste; any of them may be left out. */
export class TasteScalesDto extends RevisionDto {
  @NumberField({ ...LIMITS.taste, optional: true, description: '−3 very sour … +3 very bitter' })
  balance?: number | null;

  @NumberField({ ...LIMITS.taste, optional: true, description: '−3 thin … +3 heavy' })
  body?: number | null;

  @NumberField({ ...LIMITS.dryness, optional: true })
  dryness?: number | null;

  @NumberField({ ...LIMITS.mark, optional: true })
  sweetness?: number | null;

  @NumberField({ ...LIMITS.mark, optional: true })
  overall?: number | null;

  @NumberField({
    min: 0,
    max: 1,
    optional: true,
    description: 'How much of the cup was swallowed: 1 drunk, 0 spat out',
  })
  share?: number | null;
}

import { plainNumber } from '@olvet/core';
import type { CareIntervalView, CareItemView } from '../app/api';
import { plural } from '../parts/plural';

/** "every 7 days or 500 shots"; empty where nothing makes it due. */
export function everyInWords({ days, shots, kg }: CareIntervalView): string {
  const parts = [
    days === undefined ? null : days === 1 ? 'day' : plural(days, 'day'),
    shots === undefined ? null : plural(shots, 'shot'),
    kg === undefined ? null : `${plainNumber(kg)} kg`,
  ].filter((part) => part !== null);
  return parts.length === 0 ? '' : `every ${parts.join(' or ')}`;
}

/** What went by, in the parts its interval counts. */
export function sinceInWords({ since, every, last }: CareItemView): string {
  const parts = [
    ...(every.days !== undefined || every.kg === undefined ? [daysInWords(since.days)] : []),
    ...(every.shots === undefined ? [] : [plural(since.shots, 'shot')]),
    ...(every.kg === undefined ? [] : [`${plainNumber(since.kg, 1)} kg`]),
  ];
  return last ? parts.join(', ') : `never noted here; ${parts.join(', ')}`;
}

function daysInWords(days: number): string {
  return days === 0 ? 'today' : `${plural(days, 'day')} ago`;
}

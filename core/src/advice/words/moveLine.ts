import type { Advice, Change } from '../../contract/answer';
import { plainNumber } from './words';

export interface MoveLine {
  /** What to turn; the coloured part. */
  lead: string;
  /** Everything else, to be read from a metre away. */
  rest: string;
}

/** The one sentence of the run sheet: "Finer, 14 → 12.5." + "Purge 12 g. Expect 28 s (25–31)." */
export function moveLine(advice: Advice, finer: 'lower' | 'higher'): MoveLine {
  const { timeSeconds } = advice.expect;
  const s = (value: number): string => plainNumber(value, 0);
  const expect = `Expect ${s(timeSeconds.mean)} s (${s(timeSeconds.p10)}–${s(timeSeconds.p90)}).`;
  const { grind, doseGrams, yieldGrams, temperatureC } = advice.settings;
  const run = advice.grindSeconds === null ? '' : `Grind ${plainNumber(advice.grindSeconds, 1)} s. `;
  switch (advice.action) {
    case 'start': {
      const heat = temperatureC === null ? '' : ` at ${plainNumber(temperatureC)} °C`;
      return {
        lead: `Start at ${plainNumber(grind)}.`,
        rest: `${plainNumber(doseGrams)} g in, ${plainNumber(yieldGrams)} g out${heat}. ${run}${expect}`,
      };
    }
    case 'repeat': {
      const isUntasted = advice.why.some(({ code }) => code === 'untasted');
      return isUntasted
        ? { lead: 'Taste it first.', rest: `Or pull the same again. ${expect}` }
        : { lead: 'Pull again, change nothing.', rest: expect };
    }
    case 'prepare':
      return { lead: 'Same settings, better puck.', rest: `Distribute, tamp level, then pull. ${expect}` };
    case 'dialled':
      return {
        lead: 'Dialled in.',
        rest: `Keep it as a card. It pours ${s(timeSeconds.mean)} s (${s(timeSeconds.p10)}–${s(timeSeconds.p90)}).`,
      };
    case 'change': {
      const lead = advice.changed.map((change) => changeWords(change, finer)).join(' ');
      const purge = advice.purgeGrams > 0 ? `Purge ${plainNumber(advice.purgeGrams)} g. ` : '';
      return { lead, rest: `${purge}${run}${expect}` };
    }
  }
}

function changeWords({ variable, from, to }: Change, finer: 'lower' | 'higher'): string {
  const fromTo = `${plainNumber(from)} → ${plainNumber(to)}`;
  const up = to > from;
  switch (variable) {
    case 'grind':
      return `${up === (finer === 'higher') ? 'Finer' : 'Coarser'}, ${fromTo}.`;
    case 'doseGrams':
      return `Dose ${fromTo} g.`;
    case 'yieldGrams':
      return `${up ? 'Longer' : 'Shorter'}, ${fromTo} g.`;
    case 'temperatureC':
      return `${up ? 'Hotter' : 'Cooler'}, ${fromTo} °C.`;
  }
}

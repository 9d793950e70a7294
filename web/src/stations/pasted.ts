import { parseShotLine, shotLineInWords, type ShotLine } from '@olvet/core';

/** One pasted line, read: what it says, or what is wrong with it. */
export interface PastedLine {
  /** As it stands in the text, from 1. */
  number: number;
  text: string;
  line: ShotLine;
  /** HH:MM, null where the hour is unknown. */
  hour: string | null;
  problem: string | null;
}

const HOUR = /^\s*([01]?\d|2[0-3]):([0-5]\d)(?=\s)/;

/** Most lines that are stored in one go. */
export const MOST_LINES = 100;

/** Reads shots as people keep them, one a line, each with its hour in front or without. Empty lines count as none. */
export function readPasted(text: string): PastedLine[] {
  return text.split(/\r?\n/).flatMap((raw, i) => (raw.trim() === '' ? [] : [readLine(raw, i + 1)]));
}

function readLine(raw: string, number: number): PastedLine {
  const clock = HOUR.exec(raw);
  const rest = clock ? raw.slice(clock[0].length) : raw;
  const { shot, problems } = parseShotLine(rest);
  const hour = clock ? `${clock[1]!.padStart(2, '0')}:${clock[2]}` : (shot.hour ?? null);
  const first = problems[0];
  const isEmpty = Object.keys(shot).length === 0;
  const problem = first ? pointedAt(first) : isEmpty ? 'says nothing of a shot' : null;
  return { number, text: raw.trim(), line: { ...shot, ...(hour === null ? {} : { hour }) }, hour, problem };
}

function pointedAt({ text, message }: { text: string; message: string }): string {
  return message.includes(`“${text}”`) ? message : `“${text}”: ${message}`;
}

/** As it will be stored, hour first. */
export function pastedInWords({ line: { hour: _, ...line }, hour }: PastedLine): string {
  return `${hour ?? 'hour unknown'} · ${shotLineInWords(line)}`;
}

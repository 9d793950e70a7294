import { useEffect, useRef } from 'react';
import { useAppSelector } from '../app/store';
import type { PullHandle } from './usePull';

/** A hand needs this long to get ready. */
const READY_SECONDS = 3;
const READY_HZ = 660;
const STOP_HZ = 990;
const TONE_SECONDS = 0.18;

export type Cue = { is: 'ready'; seconds: number } | { is: 'stop' } | null;

/** How near the stop is, in large words and, unless it is off, by a tone: one to get ready, two to stop. */
export function useCue({ trace, sinceStart, isRunning, pull }: PullHandle): Cue {
  const sound = useAppSelector((state) => state.settings.sound);
  const cue = cueOf(
    isRunning ? (trace?.stop?.atSeconds ?? null) : null,
    sinceStart,
    pull.marks.some(({ kind }) => kind === 'cue'),
  );
  const is = isRunning ? (cue?.is ?? null) : null;
  const told = useRef<string | null>(null);
  useEffect(() => {
    if (is === null || told.current === is) {
      if (is === null && !isRunning) told.current = null;
      return;
    }
    told.current = is;
    if (sound) beep(is === 'stop' ? STOP_HZ : READY_HZ, is === 'stop' ? 2 : 1);
  }, [is, isRunning, sound]);
  return isRunning ? cue : null;
}

/** Once said, stop stays said: a forecast that moves back by a moment is no second thought. */
export function cueOf(stopAt: number | null, now: number, wasSaid: boolean): Cue {
  if (wasSaid) return { is: 'stop' };
  if (stopAt === null) return null;
  const left = stopAt - now;
  if (left <= 0) return { is: 'stop' };
  return left <= READY_SECONDS ? { is: 'ready', seconds: Math.ceil(left) } : null;
}

let audio: AudioContext | null = null;

function beep(hertz: number, times: number): void {
  if (typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  // A browser lets no page sound before it was touched; then the words must do.
  if (audio.state !== 'running') return void audio.resume();
  for (let i = 0; i < times; i += 1) {
    const at = audio.currentTime + i * 1.6 * TONE_SECONDS;
    const tone = audio.createOscillator();
    const loudness = audio.createGain();
    tone.frequency.value = hertz;
    loudness.gain.setValueAtTime(0.3, at);
    loudness.gain.exponentialRampToValueAtTime(0.001, at + TONE_SECONDS);
    tone.connect(loudness).connect(audio.destination);
    tone.start(at);
    tone.stop(at + TONE_SECONDS);
  }
}

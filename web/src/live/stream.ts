import type { LiveEvent } from '@olvet/core';

/** The stream beats every two seconds: silent for longer than two beats, it is cut, though nobody closed it. */
const SILENT_MS = 5000;
const AGAIN_MS = 1000;

type Listener = (event: LiveEvent) => void;
/** Told when the stream is there again after it was not: what happened meanwhile was missed. */
type BackListener = () => void;

/** The event stream of this page: one for all that listen, opened with the first and closed with the last of them. */
class Stream {
  private source: EventSource | null = null;
  private readonly listeners = new Set<Listener>();
  private readonly backListeners = new Set<BackListener>();
  private heardAt = 0;
  private watch: ReturnType<typeof setInterval> | undefined;
  private isThere = false;
  /** It was there once since it was opened: only then something can have been missed. */
  private wasThere = false;
  private readonly stateListeners = new Set<() => void>();

  /** Ends by the function it returns. */
  listen(listener: Listener, onBack?: BackListener): () => void {
    this.listeners.add(listener);
    if (onBack) this.backListeners.add(onBack);
    if (this.listeners.size === 1) this.open();
    return () => {
      this.listeners.delete(listener);
      if (onBack) this.backListeners.delete(onBack);
      if (this.listeners.size === 0) this.close();
    };
  }

  /** For `useSyncExternalStore`: whether it is there now, and a word when that changes. */
  isLive = (): boolean => this.isThere;
  onState = (listener: () => void): (() => void) => {
    this.stateListeners.add(listener);
    return () => this.stateListeners.delete(listener);
  };

  private be(isThere: boolean): void {
    if (this.isThere === isThere) return;
    this.isThere = isThere;
    for (const listener of this.stateListeners) listener();
  }

  private open(): void {
    // Without one, as in a test without a browser, a page asks by itself as it always did.
    if (typeof EventSource === 'undefined') return;
    this.heardAt = performance.now();
    this.source = new EventSource('/api/live');
    this.source.onmessage = ({ data }: MessageEvent<string>) => this.hear(JSON.parse(data) as LiveEvent);
    this.source.onerror = () => this.be(false);
    this.watch ??= setInterval(() => this.look(), AGAIN_MS);
  }

  private hear(event: LiveEvent): void {
    this.heardAt = performance.now();
    if (!this.isThere) {
      this.be(true);
      if (this.wasThere) for (const back of this.backListeners) back();
      this.wasThere = true;
    }
    for (const listener of this.listeners) listener(event);
  }

  private look(): void {
    if (performance.now() - this.heardAt < SILENT_MS) return;
    this.be(false);
    this.source?.close();
    this.open();
  }

  private close(): void {
    clearInterval(this.watch);
    this.watch = undefined;
    this.source?.close();
    this.source = null;
    this.wasThere = false;
    this.be(false);
  }
}

export const stream = new Stream();

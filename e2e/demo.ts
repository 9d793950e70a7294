import type { APIRequestContext } from '@playwright/test';
import { DEMO_URL } from './browser';

interface Board {
  stations: { openRunId: string | null; coffeeName: string }[];
}

/** The dial-in that is under way in the demo shop. */
export async function openRunId(request: APIRequestContext): Promise<string> {
  const board = (await (await request.get(`${DEMO_URL}/api/board`)).json()) as Board;
  const open = board.stations.find((station) => station.openRunId !== null);
  if (!open?.openRunId) throw new Error('the demo has no dial-in under way');
  return open.openRunId;
}

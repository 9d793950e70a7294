import type { ImportView, MatchDto } from '../app/api';

/** What the server said against it, as RTK Query would carry it. */
export interface SendError {
  status: number | 'FETCH_ERROR';
  data?: unknown;
}

/** Files go by themselves: a large one takes longer than any other request may. Sent again under the same id, nothing is doubled. */
export async function sendFiles(
  id: string,
  files: readonly File[],
  match: MatchDto | null,
  person: string,
): Promise<ImportView> {
  const body = new FormData();
  if (match) body.append('match', JSON.stringify(match));
  for (const file of files) body.append('files', file, file.name);
  let response: Response;
  try {
    const headers: HeadersInit = person ? { 'olvet-person': encodeURIComponent(person) } : {};
    response = await fetch(`/api/imports/${id}`, { method: 'PUT', body, headers });
  } catch {
    throw { status: 'FETCH_ERROR' } satisfies SendError;
  }
  const data: unknown = await response.json().catch(() => undefined);
  if (!response.ok) throw { status: response.status, data } satisfies SendError;
  return data as ImportView;
}

import { jsonLine } from '../../formats/jsonLine';
import { judgeDay, parseDayRequest } from './judge';

/** One line of the conversation: a day judged, or what is wrong with the request. */
export function dayLine(line: string): string {
  return jsonLine(line, parseDayRequest, judgeDay);
}

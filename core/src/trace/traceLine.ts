import { jsonLine } from '../formats/jsonLine';
import { parseTraceRequest, readTrace } from './readTrace';

/** One line of the conversation: a trace, or what is wrong with the request. */
export function traceLine(line: string): string {
  return jsonLine(line, parseTraceRequest, readTrace);
}

import { answerLine } from '../../core/src/advice/advise';
import { converse } from '../lib/converse';

/** The same as `olvet -- advise`. */
export function run(): Promise<void> {
  return converse(answerLine);
}

import { BadRequestException } from '@nestjs/common';

/** Nothing that Olvet takes is nested deeper than six. */
const DEEPEST = 32;
const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPENING = new Set([0x5b, 0x7b]);
const CLOSING = new Set([0x5d, 0x7d]);

/**
 * Refuses JSON that is nested too deep, before it is parsed: what walks it afterwards would run out of stack. A byte of
 * a longer UTF-8 letter is never one of these signs.
 * @throws BadRequestException
 */
export function refuseDeepJson(body: Buffer): void {
  let depth = 0;
  let isText = false;
  for (let at = 0; at < body.length; at += 1) {
    const byte = body[at]!;
    if (isText && byte === BACKSLASH) at += 1;
    else if (byte === QUOTE) isText = !isText;
    else if (!isText && OPENING.has(byte)) depth += 1;
    else if (!isText && CLOSING.has(byte)) depth -= 1;
    if (depth > DEEPEST) {
      const message = `is nested more than ${DEEPEST} deep`;
      throw new BadRequestException({ message: 'This is nested too deep.', errors: [{ path: '', message }] });
    }
  }
}

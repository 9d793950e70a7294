import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../config';

/** What time it is, for everything the server dates; a test sets it. */
@Injectable()
export class Clock {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  now(): Date {
    return new Date(this.config.now());
  }
}

import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiProperty } from '@nestjs/swagger';
import { statfs } from 'node:fs/promises';
import { Sequelize } from 'sequelize-typescript';
import { Problem } from '../common/problem';
import { CONFIG, type Config } from '../config';
import { BeforeTheDoor } from '../door/door.guard';

/** Below this nothing new should be begun: PostgreSQL stops for good where a disk is full. */
const LEAST_FREE_MB = 200;
const MB = 1024 * 1024;

class LiveView {
  @ApiProperty() status!: string;
}

class ReadyView extends LiveView {
  @ApiProperty({ description: 'A row was written and read back' }) database!: string;
  @ApiProperty({ type: Number, nullable: true, description: 'On the disk of the data, where the server can see it' })
  freeMb!: number | null;
}

@Controller('health')
export class HealthController {
  constructor(
    private readonly sequelize: Sequelize,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  /** The process answers; it asks nothing else, so that a slow database does not get it restarted. */
  @Get('live')
  @BeforeTheDoor()
  @ApiOperation({ operationId: 'getLiveness', summary: 'Is the process alive' })
  @ApiOkResponse({ type: LiveView })
  live(): LiveView {
    return { status: 'ok' };
  }

  /** Work can be taken on: a write goes through and the disk has room. */
  @Get()
  @ApiOperation({ operationId: 'getHealth', summary: 'Can it take a write' })
  @ApiOkResponse({ type: ReadyView })
  async ready(): Promise<ReadyView> {
    try {
      await this.sequelize.query(
        `INSERT INTO heartbeat ("id", "beatAt") VALUES (1, now()) ON CONFLICT ("id") DO UPDATE SET "beatAt" = now()`,
      );
    } catch (error) {
      throw new Problem('busy', 'The database does not take a write.', [], { cause: error });
    }
    const freeMb = await this.freeMb();
    if (freeMb !== null && freeMb < LEAST_FREE_MB) {
      throw new Problem('busy', `The disk has ${freeMb} MB left: make room, ${LEAST_FREE_MB} MB at least.`);
    }
    return { status: 'ok', database: 'ok', freeMb };
  }

  private async freeMb(): Promise<number | null> {
    if (this.config.dataFolder === null) return null;
    try {
      const { bavail, bsize } = await statfs(this.config.dataFolder);
      return Math.floor((bavail * bsize) / MB);
    } catch {
      return null;
    }
  }
}

import { Injectable } from '@nestjs/common';
import { buildAdviceRequest, parseAdviceRequest } from '@olvet/core';
import { QueryTypes, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { ComputePool } from '../computing/computePool';
import { keepLesson, learnPalates, learnSlope } from '../lessons/lessons';
import { StartsService } from '../lessons/starts.service';
import { Run } from '../runs/run.entity';
import { SheetReader } from '../sheet/sheet.reader';

/** Keeps what a closed dial-in taught: with itself, the grinder, the coffee and the people who tasted. */
@Injectable()
export class Learner {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly sheets: SheetReader,
    private readonly compute: ComputePool,
    private readonly starts: StartsService,
    private readonly clock: Clock,
  ) {}

  /** Done twice it changes nothing: all is put together from what stands in the rows. */
  async learn(shopId: string, runId: string): Promise<void> {
    const sheet = await this.sheets.read(shopId, runId);
    const parsed = parseAdviceRequest(JSON.parse(JSON.stringify(buildAdviceRequest(sheet))));
    if (!parsed.ok) return;
    const lesson = await this.compute.lesson(parsed.request);
    const people = sheet.shots.flatMap(({ tastings }) => tastings.map(({ person }) => person));
    await this.sequelize.transaction(async (transaction) => {
      const run = await Run.findOne({ where: { shopId, id: runId }, transaction, rejectOnEmpty: true });
      await keepLesson(run, lesson, transaction);
      await learnPalates(shopId, people, transaction);
      await this.passOn(run, transaction);
    });
  }

  /** What turns in service said of a grinder. */
  async learnService(shopId: string, grinderId: string): Promise<void> {
    await this.sequelize.transaction((transaction) => learnSlope(shopId, grinderId, transaction));
  }

  /** A dial-in begun on this grinder once this one was closed begins where its lesson says, unless it has poured already. */
  private async passOn({ shopId, grinderId, endedAt }: Run, transaction: Transaction): Promise<void> {
    const waiting = await this.sequelize.query(
      `SELECT run.* FROM runs run WHERE run."shopId" = :shopId AND run."grinderId" = :grinderId
         AND run."status" = 'open' AND run."startGrind" IS NULL AND run."createdAt" >= :endedAt AND NOT EXISTS (
           SELECT 1 FROM shots WHERE "shopId" = run."shopId" AND "runId" = run."id")`,
      {
        replacements: { shopId, grinderId, endedAt: endedAt ?? this.clock.now() },
        type: QueryTypes.SELECT,
        model: Run,
        mapToModel: true,
        transaction,
      },
    );
    for (const run of waiting) {
      const suggestedStart = await this.starts.suggest(shopId, wantedBy(run), transaction);
      await run.update({ suggestedStart }, { transaction, silent: true });
    }
  }
}

/** What a start is asked for with, from the dial-in it is for. */
export function wantedBy({
  grinderId,
  coffeeId,
  basketId,
  target,
}: Pick<Run, 'grinderId' | 'coffeeId' | 'basketId' | 'target'>) {
  const { doseGrams, yieldGrams, timeSeconds } = target;
  return {
    ...{ grinderId, coffeeId, basketId, doseGrams, yieldGrams },
    middleSeconds: (timeSeconds.min + timeSeconds.max) / 2,
  };
}

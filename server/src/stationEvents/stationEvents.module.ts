import { Controller, Injectable, Module } from '@nestjs/common';
import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { Sequelize } from 'sequelize-typescript';
import { ChoiceField, IdField, InstantField } from '../common/fields';
import { notFound } from '../common/problem';
import { resourceController } from '../common/resource.controller';
import { RevisionDto, RowView } from '../common/rows';
import { createStore, type Store } from '../common/store';
import { Station } from '../stations/station.entity';
import { STATION_EVENTS, StationEvent, type StationEventKind } from './stationEvent.entity';

export class StationEventDto extends RevisionDto {
  @IdField()
  stationId!: string;

  @ChoiceField({ of: STATION_EVENTS, name: 'StationEventKind' })
  kind!: StationEventKind;

  @InstantField()
  at!: string;

  @InstantField({ optional: true, description: 'Set when it was said by mistake' })
  removedAt?: string | null;
}

export class StationEventView extends IntersectionType(OmitType(StationEventDto, ['revision']), RowView) {
  @ApiProperty({ type: String, format: 'date-time', nullable: true }) override removedAt!: string | null;
}

/** Hopper filled, grinder cleaned: what may move a time. */
@Injectable()
export class StationEventsService {
  readonly store: Store<StationEvent, StationEventDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore<StationEvent, StationEventDto>({
      sequelize,
      model: StationEvent,
      what: 'event',
      order: [['at', 'DESC']],
      filters: ['stationId'],
      check: async ({ shopId, dto, transaction }) => {
        if (!(await Station.count({ where: { shopId, id: dto.stationId }, transaction }))) throw notFound('station');
      },
    });
  }
}

const Base = resourceController({
  one: 'StationEvent',
  many: 'StationEvents',
  dto: StationEventDto,
  view: StationEventView,
});

@Controller('station-events')
export class StationEventsController extends Base {
  constructor(service: StationEventsService) {
    super(service.store);
  }
}

@Module({ controllers: [StationEventsController], providers: [StationEventsService] })
export class StationEventsModule {}

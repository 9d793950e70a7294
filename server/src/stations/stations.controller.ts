import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { StationDto, StationView } from './station.dto';
import { StationsService } from './stations.service';

const Base = resourceController({ one: 'Station', many: 'Stations', dto: StationDto, view: StationView });

@Controller('stations')
export class StationsController extends Base {
  constructor(service: StationsService) {
    super(service.store);
  }
}

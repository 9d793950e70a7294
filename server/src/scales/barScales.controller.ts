import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { BarScaleDto, BarScaleView } from './barScale.dto';
import { BarScalesService } from './barScales.service';

const Base = resourceController({ one: 'BarScale', many: 'BarScales', dto: BarScaleDto, view: BarScaleView });

@Controller('scales')
export class BarScalesController extends Base {
  constructor(service: BarScalesService) {
    super(service.store);
  }
}

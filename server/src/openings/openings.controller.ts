import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { OpeningDto, OpeningView } from './opening.dto';
import { OpeningsService } from './openings.service';

const Base = resourceController({ one: 'Opening', many: 'Openings', dto: OpeningDto, view: OpeningView });

@Controller('openings')
export class OpeningsController extends Base {
  constructor(service: OpeningsService) {
    super(service.store);
  }
}

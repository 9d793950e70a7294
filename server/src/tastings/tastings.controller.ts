import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { TastingDto, TastingView } from './tasting.dto';
import { TastingsService } from './tastings.service';

const Base = resourceController({ one: 'Tasting', many: 'Tastings', dto: TastingDto, view: TastingView });

@Controller('tastings')
export class TastingsController extends Base {
  constructor(service: TastingsService) {
    super(service.store);
  }
}

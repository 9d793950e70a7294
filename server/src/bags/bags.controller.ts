import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { BagDto, BagView } from './bag.dto';
import { BagsService } from './bags.service';

const Base = resourceController({ one: 'Bag', many: 'Bags', dto: BagDto, view: BagView });

@Controller('bags')
export class BagsController extends Base {
  constructor(service: BagsService) {
    super(service.store);
  }
}

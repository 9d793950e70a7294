import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { BasketDto, BasketView } from './basket.dto';
import { BasketsService } from './baskets.service';

const Base = resourceController({ one: 'Basket', many: 'Baskets', dto: BasketDto, view: BasketView });

@Controller('baskets')
export class BasketsController extends Base {
  constructor(service: BasketsService) {
    super(service.store);
  }
}

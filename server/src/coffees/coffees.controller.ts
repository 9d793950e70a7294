import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { CoffeeDto, CoffeeView } from './coffee.dto';
import { CoffeesService } from './coffees.service';

const Base = resourceController({ one: 'Coffee', many: 'Coffees', dto: CoffeeDto, view: CoffeeView });

@Controller('coffees')
export class CoffeesController extends Base {
  constructor(service: CoffeesService) {
    super(service.store);
  }
}

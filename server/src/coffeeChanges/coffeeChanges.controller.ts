import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { CoffeeChangeDto, CoffeeChangeView } from './coffeeChange.dto';
import { CoffeeChangesService } from './coffeeChanges.service';

const Base = resourceController({
  one: 'CoffeeChange',
  many: 'CoffeeChanges',
  dto: CoffeeChangeDto,
  view: CoffeeChangeView,
});

@Controller('coffee-changes')
export class CoffeeChangesController extends Base {
  constructor(service: CoffeeChangesService) {
    super(service.store);
  }
}

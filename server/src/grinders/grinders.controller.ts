import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { GrinderDto, GrinderView } from './grinder.dto';
import { GrindersService } from './grinders.service';

const Base = resourceController({ one: 'Grinder', many: 'Grinders', dto: GrinderDto, view: GrinderView });

@Controller('grinders')
export class GrindersController extends Base {
  constructor(service: GrindersService) {
    super(service.store);
  }
}

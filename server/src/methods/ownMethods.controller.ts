import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { OwnMethodDto, OwnMethodView } from './ownMethod.dto';
import { OwnMethodsService } from './ownMethods.service';

const Base = resourceController({ one: 'OwnMethod', many: 'OwnMethods', dto: OwnMethodDto, view: OwnMethodView });

@Controller('methods')
export class OwnMethodsController extends Base {
  constructor(service: OwnMethodsService) {
    super(service.store);
  }
}

import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { FoundDoseDto, FoundDoseView } from './foundDose.dto';
import { FoundDosesService } from './foundDoses.service';

const Base = resourceController({ one: 'FoundDose', many: 'FoundDoses', dto: FoundDoseDto, view: FoundDoseView });

@Controller('doses')
export class FoundDosesController extends Base {
  constructor(service: FoundDosesService) {
    super(service.store);
  }
}

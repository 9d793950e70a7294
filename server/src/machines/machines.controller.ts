import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { MachineDto, MachineView } from './machine.dto';
import { MachinesService } from './machines.service';

const Base = resourceController({ one: 'Machine', many: 'Machines', dto: MachineDto, view: MachineView });

@Controller('machines')
export class MachinesController extends Base {
  constructor(service: MachinesService) {
    super(service.store);
  }
}

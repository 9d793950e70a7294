import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { DayMoveDto, DayMoveView } from './dayMove.dto';
import { DayMovesService } from './dayMoves.service';

const Base = resourceController({ one: 'DayMove', many: 'DayMoves', dto: DayMoveDto, view: DayMoveView });

@Controller('day-moves')
export class DayMovesController extends Base {
  constructor(service: DayMovesService) {
    super(service.store);
  }
}

import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { CurrentShop } from '../shop/shop.guard';
import { DoseWeighingDto, DoseWeighingView } from './doseWeighing.dto';
import { DoseWeighingsService } from './doseWeighings.service';
import { TimedDoseDeskView } from './timedDose.view';

const Base = resourceController({
  one: 'DoseWeighing',
  many: 'DoseWeighings',
  dto: DoseWeighingDto,
  view: DoseWeighingView,
});

@Controller('weighings')
export class DoseWeighingsController extends Base {
  constructor(private readonly weighings: DoseWeighingsService) {
    super(weighings.store);
  }

  @Get('of/:grinderId')
  @ApiOperation({ operationId: 'getTimedDose', summary: 'Read what the weighings of a timed grinder say together' })
  @ApiOkResponse({ type: TimedDoseDeskView })
  desk(
    @CurrentShop() shopId: string,
    @Param('grinderId', ParseUUIDPipe) grinderId: string,
  ): Promise<TimedDoseDeskView> {
    return this.weighings.desk(shopId, grinderId);
  }
}

import { Controller, Get, Module } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { CurrentShop } from '../shop/shop.guard';
import { CareDoneDto, CareDoneView, CareRuleDto, CareRuleView, CareView } from './care.dto';
import { CareService } from './care.service';

@Controller('care')
export class CareController {
  constructor(private readonly care: CareService) {}

  @Get()
  @ApiOperation({ operationId: 'getCare', summary: 'Read every care task and how far each is from due' })
  @ApiOkResponse({ type: CareView })
  read(@CurrentShop() shopId: string): Promise<CareView> {
    return this.care.read(shopId);
  }
}

const DoneBase = resourceController({ one: 'CareDone', many: 'CareDone', dto: CareDoneDto, view: CareDoneView });
const RuleBase = resourceController({ one: 'CareRule', many: 'CareRules', dto: CareRuleDto, view: CareRuleView });

@Controller('care-done')
export class CareDoneController extends DoneBase {
  constructor(service: CareService) {
    super(service.done);
  }
}

@Controller('care-rules')
export class CareRulesController extends RuleBase {
  constructor(service: CareService) {
    super(service.rules);
  }
}

@Module({
  controllers: [CareController, CareDoneController, CareRulesController],
  providers: [CareService],
  exports: [CareService],
})
export class CareModule {}

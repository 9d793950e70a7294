import { Controller, Get, Module, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { CurrentShop } from '../shop/shop.guard';
import { PreparationDto, PreparationView, PreparedView } from './preparation.dto';
import { PreparationsService } from './preparations.service';

const Base = resourceController({
  ...{ one: 'Preparation', many: 'Preparations', dto: PreparationDto, view: PreparationView },
});

@Controller('preparations')
export class PreparationsController extends Base {
  constructor(service: PreparationsService) {
    super(service.store);
  }
}

@Controller('stations/:id/prepared')
export class PreparedController {
  constructor(private readonly service: PreparationsService) {}

  @Get()
  @ApiOperation({ operationId: 'getPrepared', summary: 'Read how each way of preparing poured at a station' })
  @ApiOkResponse({ type: [PreparedView] })
  read(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<PreparedView[]> {
    return this.service.compare(shopId, id);
  }
}

@Module({ controllers: [PreparationsController, PreparedController], providers: [PreparationsService] })
export class PreparationsModule {}

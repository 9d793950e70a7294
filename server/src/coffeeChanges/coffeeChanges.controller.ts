import { Controller, Get, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { resourceController } from '../common/resource.controller';
import { CoffeeChangeDto, CoffeeChangeView } from './coffeeChange.dto';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { CoffeeChangesService } from './coffeeChanges.service';
import { ProposalQuery, ProposalView } from './proposal.dto';
import { ProposalsService } from './proposals.service';

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

@Controller('stations')
export class ProposalsController {
  constructor(private readonly proposals: ProposalsService) {}

  @Get(':id/proposal')
  @ApiOperation({ operationId: 'getProposal', summary: 'Propose how a station begins with another coffee' })
  @ApiOkResponse({ type: ProposalView })
  propose(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Query(validated(ProposalQuery, { query: true })) { coffeeId }: ProposalQuery,
  ): Promise<ProposalView> {
    return this.proposals.read(shopId, id, coffeeId);
  }
}

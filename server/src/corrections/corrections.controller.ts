import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { CurrentShop } from '../shop/shop.guard';
import { CorrectionView } from './corrections.dto';
import { CorrectionsService } from './corrections.service';

@Controller('corrections')
export class CorrectionsController {
  constructor(private readonly corrections: CorrectionsService) {}

  @Get()
  @ApiOperation({ operationId: 'listCorrections', summary: 'List rows that break a rule younger than they are' })
  @ApiOkResponse({ type: [CorrectionView] })
  list(@CurrentShop() shopId: string): Promise<CorrectionView[]> {
    return this.corrections.list(shopId);
  }
}

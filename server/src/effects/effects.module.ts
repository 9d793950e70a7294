import { Controller, Get, Module } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { CurrentShop } from '../shop/shop.guard';
import { LearnedHereView } from './effects.dto';
import { EffectsService } from './effects.service';

@Controller('learned-here')
export class EffectsController {
  constructor(private readonly effects: EffectsService) {}

  @Get()
  @ApiOperation({ operationId: 'listLearnedHere', summary: 'What air, age and hour have meant at each station' })
  @ApiOkResponse({ type: [LearnedHereView] })
  learned(@CurrentShop() shopId: string): Promise<LearnedHereView[]> {
    return this.effects.learned(shopId);
  }
}

@Module({ controllers: [EffectsController], providers: [EffectsService] })
export class EffectsModule {}

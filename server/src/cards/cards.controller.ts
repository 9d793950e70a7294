import { Body, Controller, Get, Param, ParseUUIDPipe, Put, Query } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { ListQuery, pageOf, type Page } from '../common/rows';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { CardDetailView, CardView, KeepCardDto, MoveFoundTimeDto, PrintedDto } from './card.dto';
import { CardsService } from './cards.service';

const CardPage = pageOf(CardView, 'CardPage');

@Controller()
export class CardsController {
  constructor(private readonly cards: CardsService) {}

  @Get('cards')
  @ApiOperation({ operationId: 'listCards', summary: 'List cards with their newest version' })
  @ApiOkResponse({ type: CardPage })
  list(
    @CurrentShop() shopId: string,
    @Query(validated(ListQuery, { query: true })) query: ListQuery,
  ): Promise<Page<CardView>> {
    return this.cards.list(shopId, query);
  }

  @Get('cards/:id')
  @ApiOperation({ operationId: 'getCard', summary: 'Read a card with all its versions' })
  @ApiOkResponse({ type: CardDetailView })
  get(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<CardDetailView> {
    return this.cards.get(shopId, id);
  }

  @Put('cards/:id/found-time')
  @ApiOperation({ operationId: 'moveFoundTime', summary: 'Say that a recipe is right at another time' })
  @ApiBody({ type: MoveFoundTimeDto })
  @ApiOkResponse({ type: CardDetailView })
  moveFoundTime(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body(validated(MoveFoundTimeDto)) body: MoveFoundTimeDto,
  ): Promise<CardDetailView> {
    return this.cards.moveFoundTime(shopId, id, body);
  }

  @Put('cards/:id/printed')
  @ApiOperation({ operationId: 'putPrinted', summary: 'Say which version of a card hangs on the wall' })
  @ApiBody({ type: PrintedDto })
  @ApiOkResponse({ type: CardDetailView })
  printed(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body(validated(PrintedDto)) { version }: PrintedDto,
  ): Promise<CardDetailView> {
    return this.cards.printed(shopId, id, version);
  }

  @Put('runs/:runId/card')
  @ApiOperation({ operationId: 'keepCard', summary: 'End a dial-in with its recipe on a card' })
  @ApiBody({ type: KeepCardDto })
  @ApiOkResponse({ type: CardDetailView })
  keep(
    @CurrentShop() shopId: string,
    @Param('runId', ParseUUIDPipe) runId: string,
    @Body(validated(KeepCardDto)) body: KeepCardDto,
  ): Promise<CardDetailView> {
    return this.cards.keep(shopId, runId, body);
  }
}

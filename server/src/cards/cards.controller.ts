import { Body, Controller, Get, Param, ParseUUIDPipe, Put, Query } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { ListQuery, pageOf, type Page } from '../common/rows';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import {
  AnswerProposalDto,
  CardDetailView,
  CardView,
  KeepCardDto,
  LastPulledQuery,
  LastPulledView,
  MoveFoundTimeDto,
  PrintedDto,
  ProposeCardDto,
} from './card.dto';
import { CardsService } from './cards.service';
import { ProposalsService } from './proposals.service';

const CardPage = pageOf(CardView, 'CardPage');

@Controller()
export class CardsController {
  constructor(
    private readonly cards: CardsService,
    private readonly proposals: ProposalsService,
  ) {}

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

  @Put('cards/:id/proposals/:proposalId')
  @ApiOperation({ operationId: 'proposeCard', summary: 'Propose another recipe for a card' })
  @ApiBody({ type: ProposeCardDto })
  @ApiOkResponse({ type: CardDetailView })
  async propose(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('proposalId', ParseUUIDPipe) proposalId: string,
    @Body(validated(ProposeCardDto)) body: ProposeCardDto,
  ): Promise<CardDetailView> {
    await this.proposals.propose(shopId, id, proposalId, body);
    return this.cards.get(shopId, id);
  }

  @Put('card-proposals/:id/answer')
  @ApiOperation({ operationId: 'answerProposal', summary: 'Make a proposed recipe current, or decline it' })
  @ApiBody({ type: AnswerProposalDto })
  @ApiOkResponse({ type: CardDetailView })
  async answer(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body(validated(AnswerProposalDto)) body: AnswerProposalDto,
  ): Promise<CardDetailView> {
    return this.cards.get(shopId, await this.proposals.answer(shopId, id, body));
  }

  @Get('cards/:id/last-pulled')
  @ApiOperation({ operationId: 'getLastPulled', summary: 'Read by which version somebody pulled last' })
  @ApiOkResponse({ type: LastPulledView })
  lastPulled(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Query(validated(LastPulledQuery, { query: true })) { person }: LastPulledQuery,
  ): Promise<LastPulledView> {
    return this.proposals.lastPulled(shopId, id, person);
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

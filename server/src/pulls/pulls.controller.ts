import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { validated } from '../common/validation';
import { CurrentShop } from '../shop/shop.guard';
import { AskPullDto, GivePullDto, PullDto, PullView } from './pull.dto';
import { PullsService } from './pulls.service';

@Controller('pulls')
export class PullsController {
  constructor(private readonly pulls: PullsService) {}

  @Get()
  @ApiOperation({ operationId: 'listOpenPulls', summary: 'List the shots that are being pulled' })
  @ApiOkResponse({ type: [PullView] })
  open(@CurrentShop() shopId: string): Promise<PullView[]> {
    return this.pulls.open(shopId);
  }

  @Get(':id')
  @ApiOperation({ operationId: 'getPull', summary: 'Read a shot that is being pulled' })
  @ApiOkResponse({ type: PullView })
  get(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<PullView> {
    return this.pulls.get(shopId, id);
  }

  @Put(':id')
  @ApiOperation({ operationId: 'putPull', summary: 'Begin, mark or end a shot, from the tablet that holds it' })
  @ApiBody({ type: PullDto })
  @ApiOkResponse({ type: PullView })
  put(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body(validated(PullDto)) body: PullDto,
  ): Promise<PullView> {
    return this.pulls.put(shopId, id, body);
  }

  @Post(':id/asked')
  @HttpCode(200)
  @ApiOperation({ operationId: 'askForPull', summary: 'Ask the tablet that holds a shot to hand it over' })
  @ApiBody({ type: AskPullDto })
  @ApiOkResponse({ type: PullView })
  ask(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body(validated(AskPullDto)) body: AskPullDto,
  ): Promise<PullView> {
    return this.pulls.ask(shopId, id, body);
  }

  @Post(':id/holder')
  @HttpCode(200)
  @ApiOperation({ operationId: 'givePull', summary: 'Hand a shot over, keep it, or take it where no answer came' })
  @ApiBody({ type: GivePullDto })
  @ApiOkResponse({ type: PullView })
  give(
    @CurrentShop() shopId: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body(validated(GivePullDto)) body: GivePullDto,
  ): Promise<PullView> {
    return this.pulls.give(shopId, id, body);
  }
}

import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Put, Req, Res, UseGuards } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { Request, Response } from 'express';
import { validated } from '../common/validation';
import { shown } from '../database/owned.model';
import { CurrentShop } from '../shop/shop.guard';
import { DoorView, EnterDto, TabletView } from './door.dto';
import { BeforeTheDoor, isLetIn, TABLET_COOKIE } from './door.guard';
import { DoorService } from './door.service';

/** A tablet stays on its shelf for years; it is let out in the Workshop. */
const COOKIE_DAYS = 400;

@Controller()
export class DoorController {
  constructor(private readonly door: DoorService) {}

  @Get('door')
  @BeforeTheDoor()
  @ApiOperation({ operationId: 'getDoor', summary: 'Is this device let in, and where are others to be let in' })
  @ApiOkResponse({ type: DoorView })
  async view(@Req() request: Request): Promise<DoorView> {
    return this.door.view(await isLetIn(this.door, request));
  }

  @Post('door')
  @HttpCode(200)
  @BeforeTheDoor()
  @UseGuards(ThrottlerGuard)
  @ApiOperation({ operationId: 'enter', summary: 'Let this device in with the code' })
  @ApiBody({ type: EnterDto })
  @ApiOkResponse({ type: DoorView })
  async enter(
    @Body(validated(EnterDto)) body: EnterDto,
    @Res({ passthrough: true }) response: Response,
  ): Promise<DoorView> {
    const shown = await this.door.enter(body);
    const maxAge = COOKIE_DAYS * 24 * 3600 * 1000;
    response.cookie(TABLET_COOKIE, shown, { httpOnly: true, sameSite: 'strict', path: '/', maxAge });
    return this.door.view(true);
  }

  @Get('tablets')
  @ApiOperation({ operationId: 'listTablets', summary: 'List the tablets that were let in' })
  @ApiOkResponse({ type: [TabletView] })
  async tablets(@CurrentShop() shopId: string): Promise<TabletView[]> {
    return shown(await this.door.tablets(shopId));
  }

  @Put('tablets/:id/out')
  @ApiOperation({ operationId: 'letOutTablet', summary: 'Let a tablet out' })
  @ApiOkResponse({ type: [TabletView] })
  async letOut(@CurrentShop() shopId: string, @Param('id', ParseUUIDPipe) id: string): Promise<TabletView[]> {
    await this.door.letOut(shopId, id);
    return shown(await this.door.tablets(shopId));
  }
}

import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { CurrentShop } from '../shop/shop.guard';
import { BoardView } from './board.dto';
import { BoardService } from './board.service';

@Controller('board')
export class BoardController {
  constructor(private readonly board: BoardService) {}

  @Get()
  @ApiOperation({ operationId: 'getBoard', summary: 'Read how every station stands' })
  @ApiOkResponse({ type: BoardView })
  read(@CurrentShop() shopId: string): Promise<BoardView> {
    return this.board.read(shopId);
  }
}

import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { advise, parseAdviceRequest, type Advice } from '@olvet/core';
import { Problem } from '../common/problem';

/** The advice contract over HTTP: the same pure function as on the page and on the command line. */
@Controller('advice')
export class AdviceController {
  @Post()
  @HttpCode(200)
  @ApiOperation({
    operationId: 'askAdvice',
    description: 'olvet.advice-request/1 in, olvet.advice/1 out: see docs/advice.md',
  })
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  @ApiOkResponse({ schema: { type: 'object', additionalProperties: true } })
  ask(@Body() body: unknown): Advice {
    const parsed = parseAdviceRequest(body);
    if (!parsed.ok) throw new Problem('invalid', 'This is not a valid advice request.', parsed.errors);
    return advise(parsed.request);
  }
}

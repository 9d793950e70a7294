import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { parseAdviceRequest, type Advice } from '@olvet/core';
import { Problem } from '../common/problem';
import { ComputePool } from '../computing/computePool';

/** The advice contract over HTTP: the same pure function as on the page and on the command line. */
@Controller('advice')
export class AdviceController {
  constructor(private readonly compute: ComputePool) {}

  @Post()
  @HttpCode(200)
  @ApiOperation({
    operationId: 'askAdvice',
    summary: 'Ask for the next move',
    description: 'olvet.advice-request/1 in, olvet.advice/1 out: see docs/advice.md',
  })
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  @ApiOkResponse({ schema: { type: 'object', additionalProperties: true } })
  async ask(@Body() body: unknown): Promise<Advice> {
    const parsed = parseAdviceRequest(body);
    if (!parsed.ok) throw new Problem('invalid', 'This is not a valid advice request.', parsed.errors);
    return this.compute.advice(parsed.request);
  }
}

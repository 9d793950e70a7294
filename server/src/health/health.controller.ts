import { Controller, Get, ServiceUnavailableException } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiProperty } from '@nestjs/swagger';
import { Sequelize } from 'sequelize-typescript';

class HealthView {
  @ApiProperty() status!: string;
  @ApiProperty() database!: string;
}

@Controller('health')
export class HealthController {
  constructor(private readonly sequelize: Sequelize) {}

  @Get()
  @ApiOperation({ operationId: 'getHealth' })
  @ApiOkResponse({ type: HealthView })
  async check(): Promise<HealthView> {
    try {
      await this.sequelize.query('SELECT 1');
    } catch (error) {
      throw new ServiceUnavailableException('The database does not answer.', { cause: error });
    }
    return { status: 'ok', database: 'ok' };
  }
}

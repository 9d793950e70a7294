import { Module } from '@nestjs/common';
import { ExportsController, ImportMatchesController, ImportsController } from './transfer.controller';
import { TransferService } from './transfer.service';

@Module({
  controllers: [ExportsController, ImportsController, ImportMatchesController],
  providers: [TransferService],
})
export class TransferModule {}

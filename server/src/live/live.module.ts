import { Global, Module } from '@nestjs/common';
import { LiveController } from './live.controller';
import { LiveService } from './live.service';

@Global()
@Module({ controllers: [LiveController], providers: [LiveService], exports: [LiveService] })
export class LiveModule {}

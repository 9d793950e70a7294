import { Module } from '@nestjs/common';
import { BagsController } from './bags.controller';
import { BagsService } from './bags.service';

@Module({ controllers: [BagsController], providers: [BagsService], exports: [BagsService] })
export class BagsModule {}

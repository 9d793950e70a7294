import { Module } from '@nestjs/common';
import { GrindersController } from './grinders.controller';
import { GrindersService } from './grinders.service';

@Module({ controllers: [GrindersController], providers: [GrindersService], exports: [GrindersService] })
export class GrindersModule {}

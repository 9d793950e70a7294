import { Module } from '@nestjs/common';
import { OwnMethodsController } from './ownMethods.controller';
import { OwnMethodsService } from './ownMethods.service';

@Module({ controllers: [OwnMethodsController], providers: [OwnMethodsService], exports: [OwnMethodsService] })
export class OwnMethodsModule {}

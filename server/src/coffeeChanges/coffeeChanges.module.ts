import { Module } from '@nestjs/common';
import { CoffeeChangesController } from './coffeeChanges.controller';
import { CoffeeChangesService } from './coffeeChanges.service';

@Module({ controllers: [CoffeeChangesController], providers: [CoffeeChangesService] })
export class CoffeeChangesModule {}

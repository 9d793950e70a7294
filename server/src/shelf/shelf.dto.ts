import { ApiProperty } from '@nestjs/swagger';

export class BagStockView {
  @ApiProperty({ format: 'uuid' }) bagId!: string;
  @ApiProperty({ format: 'uuid' }) coffeeId!: string;
  @ApiProperty({ description: 'Left in the bag, g: its weight less doses and purges since it was opened or weighed' })
  leftGrams!: number;
}

export class CoffeePaceView {
  @ApiProperty({ format: 'uuid' }) coffeeId!: string;
  @ApiProperty({ description: 'Coffee a day over the last two weeks, g' }) gramsPerDay!: number;
  @ApiProperty({ description: 'Shots a day over the last two weeks' }) shotsPerDay!: number;
}

export class StockView {
  @ApiProperty({ type: [BagStockView], description: 'Of bags not finished' }) bags!: BagStockView[];
  @ApiProperty({ type: [CoffeePaceView] }) pace!: CoffeePaceView[];
}

export class WearView {
  @ApiProperty({ format: 'uuid' }) grinderId!: string;
  @ApiProperty({ description: 'Ground with these burrs, kg' }) groundKg!: number;
}

export class TastedCoffeeView {
  @ApiProperty() doseGrams!: number;
  @ApiProperty({ description: '1 = drunk, 0 = spat out' }) share!: number;
  @ApiProperty({ type: Number, nullable: true }) arabicaPercent!: number | null;
  @ApiProperty() decaf!: boolean;
}

export class TastedTodayView {
  @ApiProperty() person!: string;
  @ApiProperty({ type: [TastedCoffeeView] }) cups!: TastedCoffeeView[];
}

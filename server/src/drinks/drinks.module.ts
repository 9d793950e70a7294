import { Controller, Injectable, Module } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { CardVersion } from '../cards/card.entity';
import { Problem } from '../common/problem';
import { resourceController } from '../common/resource.controller';
import { createStore, type Store, type Writing } from '../common/store';
import { Drink, MachineButton } from './drink.entity';
import { DrinkDto, DrinkView, MachineButtonDto, MachineButtonView } from './drink.dto';

/** Nothing is in line with a version that is not there yet. */
async function checkVersion({
  shopId,
  dto,
  transaction,
}: Pick<Writing<never, { cardId: string; cardVersion: number }>, 'shopId' | 'dto' | 'transaction'>): Promise<void> {
  const newest = await CardVersion.max<number, CardVersion>('version', {
    where: { shopId, cardId: dto.cardId },
    transaction,
  });
  if (newest && dto.cardVersion > newest) {
    throw new Problem('invalid', 'This card has no such version.', [
      { path: 'cardVersion', message: `must be at most ${newest}` },
    ]);
  }
}

@Injectable()
export class DrinksService {
  readonly drinks: Store<Drink, DrinkDto>;
  readonly buttons: Store<MachineButton, MachineButtonDto>;

  constructor(sequelize: Sequelize) {
    const common = { sequelize, check: checkVersion };
    this.drinks = createStore<Drink, DrinkDto>({ ...common, model: Drink, what: 'drink', order: [['name', 'ASC']] });
    this.buttons = createStore<MachineButton, MachineButtonDto>({
      ...{ ...common, model: MachineButton, what: 'button', order: [['name', 'ASC']] },
    });
  }
}

const DrinkBase = resourceController({ one: 'Drink', many: 'Drinks', dto: DrinkDto, view: DrinkView });
const ButtonBase = resourceController({
  ...{ one: 'MachineButton', many: 'MachineButtons', dto: MachineButtonDto, view: MachineButtonView },
});

@Controller('drinks')
export class DrinksController extends DrinkBase {
  constructor(service: DrinksService) {
    super(service.drinks);
  }
}

@Controller('machine-buttons')
export class MachineButtonsController extends ButtonBase {
  constructor(service: DrinksService) {
    super(service.buttons);
  }
}

@Module({ controllers: [DrinksController, MachineButtonsController], providers: [DrinksService] })
export class DrinksModule {}

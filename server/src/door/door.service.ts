import { Inject, Injectable } from '@nestjs/common';
import { sign, unsign } from 'cookie-signature';
import { randomBytes, randomInt } from 'node:crypto';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { v7 } from 'uuid';
import { notFound, Problem } from '../common/problem';
import { CONFIG, type Config } from '../config';
import { ShopService } from '../shop/shop.service';
import type { DoorView, EnterDto } from './door.dto';
import { Tablet } from './tablet.entity';

const CODE_DIGITS = 6;
/** Wrong codes before nobody is let in for a while, from wherever they come: one in a hundred thousand may guess right. */
const MOST_WRONG = 10;
const SHUT_MS = 10 * 60_000;
const SEEN_EVERY_MS = 60_000;

/** Who may come in from the shop's network. */
@Injectable()
export class DoorService {
  private code = newCode();
  private wrong = 0;
  private shutUntil = 0;
  private key: string | null = null;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly sequelize: Sequelize,
    private readonly shops: ShopService,
  ) {}

  get isOnNetwork(): boolean {
    return this.config.networkNames.length > 0;
  }

  view(letIn: boolean): DoorView {
    const { networkNames, port } = this.config;
    return {
      letIn,
      network: this.isOnNetwork,
      code: letIn && this.isOnNetwork ? this.code : null,
      addresses: letIn ? networkNames.map((name) => `http://${name}:${port}`) : [],
    };
  }

  /** Said where Olvet was started, whenever it is another one. */
  announce(): void {
    if (this.isOnNetwork) process.stdout.write(`The code for the next tablet is ${this.code}.\n`);
  }

  /** Lets a tablet in; resolves with what it shows from then on. */
  async enter({ code, name }: EnterDto): Promise<string> {
    if (!this.isOnNetwork) throw new Problem('invalid', 'Olvet was not started for other devices of the network.');
    if (Date.now() < this.shutUntil) {
      throw new Problem('busy', 'Too many wrong codes: nobody is let in for ten minutes.');
    }
    if (code.replaceAll(/\s/g, '') !== this.code) {
      this.wrong += 1;
      if (this.wrong >= MOST_WRONG) {
        this.wrong = 0;
        this.shutUntil = Date.now() + SHUT_MS;
        this.renewCode();
      }
      throw new Problem('invalid', 'This is not the code.', [
        { path: 'code', message: 'is another one: look where Olvet was started, or in the Workshop under Tablets' },
      ]);
    }
    const id = v7();
    await Tablet.create({ shopId: await this.shops.currentId(), id, name });
    this.wrong = 0;
    this.renewCode();
    return sign(id, await this.signingKey());
  }

  /** Whether what a device shows was signed here and its tablet has not been let out. */
  async isLetIn(shown: string | undefined): Promise<boolean> {
    const id = shown ? unsign(shown, await this.signingKey()) : false;
    if (!id) return false;
    const tablet = await Tablet.findOne({ where: { shopId: await this.shops.currentId(), id, letOutAt: null } });
    if (!tablet) return false;
    if (Date.now() - tablet.seenAt.getTime() > SEEN_EVERY_MS) await tablet.update({ seenAt: new Date() });
    return true;
  }

  tablets(shopId: string): Promise<Tablet[]> {
    return Tablet.findAll({ where: { shopId, letOutAt: null }, order: [['letInAt', 'ASC']] });
  }

  async letOut(shopId: string, id: string): Promise<void> {
    const [count] = await Tablet.update(
      { letOutAt: new Date() },
      { where: { shopId, id, letOutAt: { [Op.is]: null } } },
    );
    if (count === 0 && !(await Tablet.count({ where: { shopId, id } }))) throw notFound('tablet');
  }

  private renewCode(): void {
    this.code = newCode();
    this.announce();
  }

  /** One for all server processes on this database; whoever comes first makes it. */
  private async signingKey(): Promise<string> {
    if (this.key === null) {
      await this.sequelize.query(`INSERT INTO door_key ("id", "key") VALUES (1, :key) ON CONFLICT DO NOTHING`, {
        replacements: { key: randomBytes(32).toString('base64url') },
      });
      const [row] = await this.sequelize.query<{ key: string }>('SELECT "key" FROM door_key', {
        type: QueryTypes.SELECT,
      });
      this.key = row!.key;
    }
    return this.key;
  }
}

function newCode(): string {
  return String(randomInt(10 ** CODE_DIGITS)).padStart(CODE_DIGITS, '0');
}

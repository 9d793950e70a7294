import { Controller } from '@nestjs/common';
import { resourceController } from '../common/resource.controller';
import { PeopleService } from './people.service';
import { PersonDto, PersonView } from './person.dto';

const Base = resourceController({ one: 'Person', many: 'People', dto: PersonDto, view: PersonView });

@Controller('people')
export class PeopleController extends Base {
  constructor(service: PeopleService) {
    super(service.store);
  }
}

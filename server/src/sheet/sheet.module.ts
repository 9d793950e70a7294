import { Module } from '@nestjs/common';
import { LessonsModule } from '../lessons/lessons.module';
import { SheetReader } from './sheet.reader';

@Module({ imports: [LessonsModule], providers: [SheetReader], exports: [SheetReader] })
export class SheetModule {}

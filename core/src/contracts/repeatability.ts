import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsNumber, IsUUID } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import { IsMeasureId, measureInScope, IsPastInstant, IsPlainText, IsSideOfMeasure } from './decorators.ts';
import { rule } from './rule.ts';
import { Parts } from './parts.ts';
import { trialProblemInWords } from '../words/index.ts';

/** Readings that the check named by the test can give. */
const IsReadings = () =>
  rule('isReadings', (value, { measureId }) => {
    if (!Array.isArray(value) || value.length === 0 || value.length > 10) return 'From 1 to 10 trials make an occasion.';
    const measure = measureInScope(measureId);
    return measure && value.map((v) => trialProblemInWords(measure, v)).find((p) => p);
  });

/** One body, or one side of it, measured on two occasions. */
export class RepeatedDto {
  @IsUUID('7') traineeId!: string;
  @IsSideOfMeasure() @IsIn(['left', 'right', 'whole']) side!: BodySide;
  @IsMeasureId() measureId!: string;
  @IsNumber({}, { each: true }) @IsReadings() first!: number[];
  @IsNumber({}, { each: true }) @IsReadings() second!: number[];
}

/** The same bodies measured twice, by one coach or by two. */
export class RepeatabilityTestDto {
  @IsUUID('7') id!: string;
  @IsPastInstant('The time of the test') takenAt!: string;
  @IsMeasureId() measureId!: string;
  @IsIn(['one coach', 'two coaches']) kind!: 'one coach' | 'two coaches';
  /** Who measured the second time, where it was somebody else. */
  @IsPlainText('The other coach', { max: 80 }) otherCoach!: string;

  @Parts(() => RepeatedDto)
  @ArrayMaxSize(200)
  @ArrayMinSize(3, { message: 'At least 3 bodies or sides make a test.' })
  @IsArray()
  repeated!: RepeatedDto[];
}

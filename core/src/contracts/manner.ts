import 'reflect-metadata';
import { IsIn, IsOptional, Max, Min } from 'class-validator';
import { type Band, BANDS, KG_LIMITS } from '../drills/index.ts';
import { CourseDto } from './course.ts';
import { TempoDto } from './dose.ts';
import { Part } from './parts.ts';
import { NullIsNone, rule } from './rule.ts';

const { min, max, step } = KG_LIMITS;
const IsInSteps = () =>
  rule('isInSteps', (value) =>
    value === undefined || (typeof value === 'number' && Number.isInteger(value / step))
      ? undefined
      : `A weight must be in steps of ${step} kg.`,
  );
/** How one planned drill is done, beside its numbers. */
export class MannerDto {
  @IsOptional()
  @IsInSteps()
  @Max(max, { message: `A weight must be at most ${max} kg.` })
  @Min(min, { message: `A weight must be at least ${min} kg; leave it out for none.` })
  kg?: number;
  @IsOptional() @IsIn(BANDS, { message: `A band must be one of: ${BANDS.join(', ')}.` }) band?: Band;
  @IsOptional() @Part(() => TempoDto) tempo?: TempoDto;
  @NullIsNone() @IsOptional() @Part(() => CourseDto) course?: CourseDto;
}

/** A manner that names something. */
export function IsManner(): PropertyDecorator {
  const saysSomething = rule('saysSomething', (value) =>
    value &&
    typeof value === 'object' &&
    ['kg', 'band', 'tempo', 'course'].every((key) => !(key in value) || (value as never)[key] === undefined)
      ? 'Name a weight, a band, a tempo or a course, or leave the manner out.'
      : undefined,
  );
  return (target, key) => {
    Part(() => MannerDto)(target, key);
    saysSomething(target, key);
  };
}

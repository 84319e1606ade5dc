import { ValidateBy, type ValidationOptions } from 'class-validator';
import { readDay } from '../../core/units/day';

/** A day of the calendar that exists, such as `2027-03-28`. */
export const IsDay = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isDay',
      validator: {
        validate: (value): boolean => typeof value === 'string' && readDay(value).ok,
        defaultMessage: () => 'a day such as 2027-03-28',
      },
    },
    options,
  );

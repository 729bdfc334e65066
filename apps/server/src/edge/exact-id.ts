import { Injectable, NotFoundException, type PipeTransform } from '@nestjs/common';
import { ID_PATTERN } from '@dialoga/core/entry';

/** An id in an address, letter for letter: the database would take one with blanks behind it for the same. */
@Injectable()
export class ExactId implements PipeTransform<string, string> {
  transform(id: string): string {
    if (!ID_PATTERN.test(id)) throw new NotFoundException({ message: 'There is no such thing: this is no id.' });
    return id;
  }
}

import { expect } from 'chai';
import { waitWords } from './wait';

describe('drying in words', () => {
  it('is in days from a day on, else in hours, never none', () => {
    expect([48 * 3600, 24 * 3600, 3 * 3600, 600].map(waitWords)).deep.equal(['2 days', '1 day', '3 hours', '1 hour']);
  });
});

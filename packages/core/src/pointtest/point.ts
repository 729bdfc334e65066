/** A value at one of its ends, as that end calls it. */
export interface PointEnd {
  end: string;
  station: string;
  /** of the station */
  at: string;
  name: string;
  /** in the notation of that end; empty: it has none */
  address: string;
}

/** One thing to be tested on site. */
export interface Point {
  /** the same as long as it is the same point: `value LANE ITEM SOURCE SINK`, `reach EXPECTATION` */
  key: string;
  sort: 'value' | 'reach' | 'no reach';
  /** of a value */
  lane: string;
  exchange: string;
  item: string;
  from: PointEnd;
  to: PointEnd;
  /** equal as long as everything that it rests on is */
  basis: string;
}

/** `Pressure 1, SkidCtl to PlantCtl` */
export const pointName = ({ sort, from, to }: Pick<Point, 'sort' | 'from' | 'to'>): string =>
  sort === 'value'
    ? `${from.name || to.name}, ${from.at} to ${to.at}`
    : `${from.at} ${sort === 'reach' ? 'reaches' : 'does not reach'} ${to.at}`;

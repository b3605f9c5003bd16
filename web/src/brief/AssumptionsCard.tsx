import { Panel } from '../components/Panel';
import { useBriefEdit } from './useBriefEdit';

/** The figures that everything implied leans on; each can be replaced. */
export function AssumptionsCard() {
  const { brief, line, unit } = useBriefEdit();
  const a = brief.assumptions;
  const perDay = `${unit('volume')} a day`;
  return (
    <Panel title="Assumed" note="Estimates of the trade: replace them by what these people really use" className="wide">
      <div className="form form-wide">
        {line(
          `Drinking, cooking, dishes, per person, ${perDay}`,
          a.waterDrink,
          'volume',
          (b, l) => (b.assumptions.waterDrink = l),
        )}
        {line(
          `Washing from a bowl, per person, ${perDay}`,
          a.waterBowl,
          'volume',
          (b, l) => (b.assumptions.waterBowl = l),
        )}
        {line(`A shower, per person, ${perDay}`, a.waterShower, 'volume', (b, l) => (b.assumptions.waterShower = l))}
        {line(`An animal, ${perDay}`, a.waterAnimal, 'volume', (b, l) => (b.assumptions.waterAnimal = l))}
        {line('Drinking in heat, times', a.hotFactor, 'plain', (b, n) => (b.assumptions.hotFactor = n))}
        {line('Heat begins at', a.hotFrom, 'temperature', (b, c) => (b.assumptions.hotFrom = c))}
        {line('Water in reserve', a.waterReserve, 'volume', (b, l) => (b.assumptions.waterReserve = l))}
        {line('Fuel use, loaded, sealed road', a.consumption, 'consumption', (b, c) => (b.assumptions.consumption = c))}
        {line('Fuel with the trailer, times', a.towFactor, 'plain', (b, n) => (b.assumptions.towFactor = n))}
        {line('Fuel in reserve', a.fuelReserve, 'volume', (b, l) => (b.assumptions.fuelReserve = l))}
        {line('Bed beyond the sleeper’s height', a.bedLength, 'length', (b, mm) => (b.assumptions.bedLength = mm))}
        {line('Bed beyond each one’s shoulders', a.bedWidth, 'length', (b, mm) => (b.assumptions.bedWidth = mm))}
        {line('Highest rim, % of body height', a.rimShare * 100, 'plain', (b, n) => (b.assumptions.rimShare = n / 100))}
        {line(
          'Reach of the arm, % of body height',
          a.armShare * 100,
          'plain',
          (b, n) => (b.assumptions.armShare = n / 100),
        )}
        {line(
          'Grip overhead, % of body height',
          a.gripShare * 100,
          'plain',
          (b, n) => (b.assumptions.gripShare = n / 100),
        )}
      </div>
    </Panel>
  );
}

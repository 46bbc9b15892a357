/** Properties of dry air at 1 atm. */
export interface Air {
  readonly conductivityWPerMK: number;
  readonly kinematicViscosityM2PerS: number;
  readonly prandtl: number;
}

const KELVIN = 273.15;
const GAS_CONSTANT_J_PER_KG_K = 287.05;
const SPECIFIC_HEAT_J_PER_KG_K = 1007;

/** Growth of a property from 0 °C by Sutherland's law with its constant, both in K. */
const sutherland = (kelvin: number, constant: number): number =>
  (kelvin / KELVIN) ** 1.5 * ((KELVIN + constant) / (kelvin + constant));

/**
 * Air at a film temperature in °C, from Sutherland's law for viscosity (1.716e-5 Pa·s at 0 °C, S = 110.4 K) and
 * conductivity (0.0241 W/mK at 0 °C, S = 194 K), the ideal gas at 101 325 Pa and a constant specific heat.
 * Within 1 % of published tables from −20 to 250 °C, except Prandtl's number (within 2.5 %), on which the balance
 * depends by its sixth root.
 */
export function airAt(filmC: number): Air {
  const kelvin = filmC + KELVIN;
  const viscosityPaS = 1.716e-5 * sutherland(kelvin, 110.4);
  const conductivityWPerMK = 0.0241 * sutherland(kelvin, 194);
  const densityKgPerM3 = 101_325 / (GAS_CONSTANT_J_PER_KG_K * kelvin);
  return {
    conductivityWPerMK,
    kinematicViscosityM2PerS: viscosityPaS / densityKgPerM3,
    prandtl: (viscosityPaS * SPECIFIC_HEAT_J_PER_KG_K) / conductivityWPerMK,
  };
}

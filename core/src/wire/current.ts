import { airAt } from './air.ts';
import { conductorDiameterMm, jacketDiameterMm, JACKETS, ratedC, type WireSpec } from './conductor.ts';
import { resistanceMilliohm } from './resistance.ts';

const STEFAN_BOLTZMANN_W_PER_M2_K4 = 5.670374e-8;
const EMISSIVITY = 0.9;
const GRAVITY_M_PER_S2 = 9.80665;
const KELVIN = 273.15;

/**
 * Heat in W that one metre of a horizontal cylinder gives to still air: natural convection by Churchill and Chu for a
 * horizontal cylinder with film-temperature air, plus grey radiation (ε 0.9).
 */
function heatToAirWPerM(outerDiameterMm: number, surfaceC: number, ambientC: number): number {
  const rise = surfaceC - ambientC;
  if (rise <= 0) return 0;
  const diameterM = outerDiameterMm / 1000;
  const filmC = (surfaceC + ambientC) / 2;
  const { conductivityWPerMK, kinematicViscosityM2PerS, prandtl } = airAt(filmC);
  const rayleigh =
    (GRAVITY_M_PER_S2 * rise * diameterM ** 3 * prandtl) / ((filmC + KELVIN) * kinematicViscosityM2PerS ** 2);
  const nusselt = (0.6 + (0.387 * rayleigh ** (1 / 6)) / (1 + (0.559 / prandtl) ** (9 / 16)) ** (8 / 27)) ** 2;
  const convection = (nusselt * conductivityWPerMK) / diameterM;
  const surfaceK = surfaceC + KELVIN;
  const ambientK = ambientC + KELVIN;
  const radiation = EMISSIVITY * STEFAN_BOLTZMANN_W_PER_M2_K4 * (surfaceK ** 2 + ambientK ** 2) * (surfaceK + ambientK);
  return (convection + radiation) * Math.PI * diameterM * rise;
}

/** Heat in W per metre and kelvin that passes the jacket: 2πk/ln(D/dc). */
const jacketConductanceWPerMK = (wire: WireSpec): number =>
  (2 * Math.PI * JACKETS[wire.jacket.material].conductivityWPerMK) /
  Math.log(jacketDiameterMm(wire) / conductorDiameterMm(wire));

/** Bisection on a rising function; 40 halvings leave less than 1e-12 of the span. */
function solveRising(low: number, high: number, isBelow: (x: number) => boolean): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 40; i += 1) {
    const middle = (a + b) / 2;
    if (isBelow(middle)) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/**
 * Steady current in A that brings the conductor to `conductorC` in still air: the heat conducted through the jacket,
 * (Tc−Ts)·2πk/ln(D/dc), equals what the surface gives to the air, and I²·R(Tc) feeds both.
 * Steady state, one horizontal wire; valid for 1e-5 < Ra < 1e12. Within ±25 % of a published free-air table
 * (30 °C ambient, 90 °C conductor: 14 AWG 35 A … 6 AWG 105 A).
 * @param conductorC defaults to the jacket's rating
 * @param share of the copper left, for the current at a place where strands are lost
 * @returns 0 when the ambient is at or above the conductor's temperature
 */
export function allowedCurrentA(wire: WireSpec, ambientC: number, conductorC = ratedC(wire), share = 1): number {
  if (ambientC >= conductorC) return 0;
  const outer = jacketDiameterMm(wire);
  const perKelvin = jacketConductanceWPerMK(wire);
  const surfaceC = solveRising(
    ambientC,
    conductorC,
    (surface) => heatToAirWPerM(outer, surface, ambientC) < (conductorC - surface) * perKelvin,
  );
  const heat = heatToAirWPerM(outer, surfaceC, ambientC);
  return Math.sqrt(heat / (resistanceMilliohm(wire, 1000, conductorC, share) / 1000));
}

/** Highest conductor temperature the balance looks for; beyond it the wire has failed anyway. */
const HOTTEST_C = 400;
/** A balance above this is no temperature but a mistake in the load or the size, °C. Source: numbers, current. */
export const CANNOT_BE_C = 250;

/**
 * Steady conductor temperature in °C of a wire carrying `currentA` in still air, from the same balance.
 * A wire in a bundle runs as hot as one alone that carries current / bundleFactor.
 * @returns at most 400 °C, which stands for "burnt"
 */
export function conductorTemperatureC(wire: WireSpec, currentA: number, ambientC: number, share = 1): number {
  if (currentA <= 0) return ambientC;
  const outer = jacketDiameterMm(wire);
  const perKelvin = jacketConductanceWPerMK(wire);
  return solveRising(ambientC, HOTTEST_C, (conductor) => {
    const heat = currentA ** 2 * (resistanceMilliohm(wire, 1000, conductor, share) / 1000);
    return heatToAirWPerM(outer, conductor - heat / perKelvin, ambientC) < heat;
  });
}

/** Share of its free-air current that a wire may carry among `loaded` loaded wires of one bundle, itself included. */
export function bundleFactor(loaded: number): number {
  if (loaded <= 1) return 1;
  if (loaded === 2) return 0.9;
  if (loaded === 3) return 0.75;
  if (loaded <= 6) return 0.6;
  if (loaded <= 9) return 0.5;
  if (loaded <= 20) return 0.4;
  if (loaded <= 30) return 0.35;
  return 0.3;
}

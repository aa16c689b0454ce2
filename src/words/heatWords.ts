const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;

/** Without decimals, with a true minus. */
const whole = (degrees: number): string => Math.round(degrees).toLocaleString("en").replace("-", "−");

/** A temperature both ways: "815 °C (1,500 °F)". */
export const heatWords = (celsius: number): string =>
  `${whole(celsius)} °C (${whole(fahrenheit(celsius))} °F)`;

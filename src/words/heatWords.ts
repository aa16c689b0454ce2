const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;

/** A temperature both ways: "815 °C (1,500 °F)". */
export const heatWords = (celsius: number): string =>
  `${Math.round(celsius).toLocaleString("en")} °C (${Math.round(fahrenheit(celsius)).toLocaleString("en")} °F)`;

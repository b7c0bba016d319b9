/** Two decimals with a true minus sign. */
export const two = (x: number) => x.toFixed(2).replace('-', '−')

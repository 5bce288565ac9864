/** Whether the program serves https itself, under the house's own certificate. */
export const isSecure = (): boolean => process.env['TENDER_CRUMB_HTTPS'] === '1';

declare global {
  namespace App {
    interface Error {
      message: string;
      /** Where the fault was, for the page. */
      where?: string;
    }
    interface Locals {
      theme: 'light' | 'dark' | 'system';
    }
  }
}

export {};

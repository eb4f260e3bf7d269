// Style sheets mean nothing to unit tests.
export {};

export type ServiceName = "weigh" | "bench" | "files" | "pattern" | "sheets";

/** What a worker of the pool exposes: every service by its name. */
export interface PoolService {
  call(service: ServiceName, method: string, ...args: readonly unknown[]): unknown;
}

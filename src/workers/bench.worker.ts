import { expose } from "comlink";
import { benchService } from "./bench.service";

expose(benchService);

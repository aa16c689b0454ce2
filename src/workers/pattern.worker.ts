import { expose } from "comlink";
import { patternService } from "./pattern.service";

expose(patternService);

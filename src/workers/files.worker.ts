import { expose } from "comlink";
import { filesService } from "./files.service";

expose(filesService);

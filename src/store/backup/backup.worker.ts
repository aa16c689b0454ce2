import { expose } from "comlink";
import { backupService } from "./backup.service";

expose(backupService);

import { expose } from "comlink";
import { framer } from "./framer";

expose(framer);

"use client";
import dynamic from "next/dynamic";
import { useEffect, useState } from "react";
import { whenFirstTold } from "./notice";

const Toasts = dynamic(() => import("./Toasts").then((m) => m.Toasts), { ssr: false });

/** Where notices appear. What shows them is fetched with the first one. */
export function Notices() {
  const [needed, setNeeded] = useState(false);
  useEffect(() => whenFirstTold(() => setNeeded(true)), []);
  return needed ? <Toasts /> : null;
}

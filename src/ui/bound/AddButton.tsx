"use client";
import { Button, type ButtonProps } from "@chakra-ui/react";
import { isFull } from "@/core/knife/design/limits";
import { useDesign } from "../session/BenchContext";

/** Adds to a list of the design, by its path; off where the list takes nothing more. */
export function AddButton({ to, ...button }: Omit<ButtonProps, "disabled"> & { readonly to: string }) {
  const full = useDesign((d) => isFull(d, to));
  return <Button size="xs" variant="outline" disabled={full} {...button} />;
}

"use client";
import { Field, Flex } from "@chakra-ui/react";
import { type ComponentType, createContext, useContext } from "react";

/** What stands beside the labels of the fields within; none but where somebody says so. */
export const BesideLabel = createContext<ComponentType<{ readonly label: string }> | null>(null);

/** The label of a field, and what stands beside it. */
export function FieldLabel({ label }: { label: string }) {
  const Beside = useContext(BesideLabel);
  return (
    <Flex align="center" gap="1" minW="0" className="lockable">
      <Field.Label color="ink" fontWeight="400">
        {label}
      </Field.Label>
      {Beside && <Beside label={label} />}
    </Flex>
  );
}

"use client";
import { Field, Grid, GridItem } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { FieldLabel } from "./FieldLabel";

interface FieldRowProps {
  readonly label: string;
  readonly help?: string;
  readonly wrong?: string | null;
  /** The field on a line of its own. */
  readonly wide?: boolean;
  readonly children: ReactNode;
}

/** A label and its field side by side, or one over the other, with help or what is wrong below. */
export function FieldRow({ label, help, wrong, wide, children }: FieldRowProps) {
  return (
    <Field.Root invalid={Boolean(wrong)}>
      <Grid
        templateColumns={wide ? "1fr" : "1fr 148px"}
        columnGap="2"
        rowGap="0.5"
        w="full"
        alignItems="center"
      >
        <FieldLabel label={label} />
        {children}
        {(wrong || help) && (
          <GridItem colSpan={wide ? 1 : 2}>
            {wrong ? (
              <Field.ErrorText mt="0">{wrong}</Field.ErrorText>
            ) : (
              <Field.HelperText mt="0">{help}</Field.HelperText>
            )}
          </GridItem>
        )}
      </Grid>
    </Field.Root>
  );
}

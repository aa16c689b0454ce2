"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { useState } from "react";
import { measuredPrinter, TRUE_PRINTER } from "@/core/exchange/paper/paper";
import { PRINTER_LIMITS } from "@/core/knife/design/workshopParts";
import { usePaper } from "@/store/paper";
import { changeSettings } from "@/store/settings";
import { changeWorkshop, usePresentWorkshop } from "@/store/workshops";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";

/** Which paper, which way round, and what was measured of the last print. */
export function PaperFields() {
  const paper = usePaper();
  const workshop = usePresentWorkshop();
  const { printer } = paper;
  const [measured, setMeasured] = useState(TRUE_PRINTER);
  const set = (change: Partial<Omit<typeof paper, "printer">>) =>
    void changeSettings((now) => ({ paper: { ...now.paper, ...change } }));
  const setPrinter = (to: typeof printer) =>
    workshop && void changeWorkshop(workshop.id, (w) => ({ ...w, printer: { ...to } }));
  const isTrue = printer.acrossMm === 100 && printer.downMm === 100;
  const [min, max] = PRINTER_LIMITS;
  const next = measuredPrinter(printer, measured);
  const inReach = [next.acrossMm, next.downMm].every((mm) => mm >= min && mm <= max);
  return (
    <Stack gap="2">
      <ChoiceField
        label="Paper"
        value={paper.paper}
        choices={[
          { value: "a4", name: "A4" },
          { value: "letter", name: "Letter" },
        ]}
        onChange={(to) => set({ paper: to })}
      />
      <ChoiceField
        label="Which way round"
        value={paper.way}
        choices={[
          { value: "proposed", name: "As proposed" },
          { value: "upright", name: "Upright" },
          { value: "across", name: "Across" },
        ]}
        onChange={(to) => set({ way: to })}
      />
      <Text fontWeight="600" mt="3">
        Printer
      </Text>
      <Text color="graphite" fontSize="sm">
        {isTrue
          ? "Taken as true. Print a sheet, measure its 100 mm scale and the square, and type what you find."
          : `It makes 100 mm ${printer.acrossMm.toFixed(2)} mm across and ${printer.downMm.toFixed(2)} mm down: sheets are drawn for that.`}
      </Text>
      <LengthField
        label="100 mm scale measures"
        mm={measured.acrossMm}
        min={min}
        max={max}
        onChange={(acrossMm) => setMeasured({ ...measured, acrossMm })}
      />
      <LengthField
        label="Square's height, twice"
        help="Twice the 50 mm down the sheet."
        mm={measured.downMm}
        min={min}
        max={max}
        onChange={(downMm) => setMeasured({ ...measured, downMm })}
      />
      {!inReach && (
        <Text color="fault" fontSize="sm" role="alert">
          With that the printer would be more than 10 % off: print at 100 %, not fitted to the page.
        </Text>
      )}
      <Stack direction="row">
        <Button
          size="xs"
          disabled={!workshop || !inReach || (measured.acrossMm === 100 && measured.downMm === 100)}
          onClick={() => {
            setPrinter(next);
            setMeasured(TRUE_PRINTER);
          }}
        >
          Correct the next print
        </Button>
        <Button
          size="xs"
          variant="outline"
          disabled={!workshop || isTrue}
          onClick={() => setPrinter(TRUE_PRINTER)}
        >
          Take as true
        </Button>
      </Stack>
    </Stack>
  );
}

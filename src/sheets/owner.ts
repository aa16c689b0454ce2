import { printLengthPlain } from "@/core/base/units/print";
import type { Page } from "@/core/exchange/paper/page";
import { kindOf } from "@/core/kinds/fasteners/registry";
import { fittingsOn } from "@/core/kinds/guardFittings/registry";
import { customerWords } from "@/words/customer";
import { inSentence, itemWords } from "@/words/fasteners";
import { capital, small } from "@/words/grammar";
import { bothSides } from "./customer";
import type { PageBuilder } from "./pageBuilder";

/** How a knife that comes apart is taken apart, with which key, and what finds its own place when it goes together. */
export function ownerPages(builder: PageBuilder): Page[] {
  const figures = [
    builder.title(`Owner's card: ${builder.source.design.name}`),
    ...bothSides(builder),
    builder.heading("What is needed"),
    ...keys(builder).map((k) => builder.text(`· ${k}`)),
    builder.heading("Taking it apart"),
    ...numbered(builder, steps(builder)),
    builder.heading("Putting it together"),
    ...numbered(builder, [
      "Clean and dry every face; wipe the tang and what is steel with a little oil.",
      `The other way round, ${builder.source.design.tang.kind === "hidden" ? "front first" : "liners first"}. ${registers(builder)}`,
      "Tighten until nothing moves, by hand and no more: a thread in metal is stripped sooner than it feels.",
      "After a week of use, see once whether it is still tight.",
    ]),
    builder.text(
      "The blade is sharp all the while: cover its edge before anything else, and hold the knife by its spine.",
    ),
  ];
  return builder.flowed("owner", figures, 2);
}

const numbered = (builder: PageBuilder, said: readonly string[]) =>
  said.map((s, i) => builder.text(`${i + 1}. ${s}`));

/** The keys and drivers that its screws take, each once. */
function keys(builder: PageBuilder): string[] {
  const { design, units } = builder.source;
  const { tang } = design;
  const size = (mm: number) => printLengthPlain(mm, units);
  const found = new Set<string>();
  if (tang.kind === "hidden") {
    const { end } = tang;
    if (end.kind === "take-down")
      found.add(`A hexagonal key of ${size(end.socketMm)} for the screw at the butt`);
    else if ("nut" in end)
      found.add(
        end.nut.style === "hex"
          ? `A socket of ${size(end.nut.acrossMm)} for the nut at the butt`
          : "A pin spanner, or a strap, for the round nut at the butt",
      );
    else if (end.kind === "cap-nut") found.add("The hand: the butt cap is the nut");
  }
  for (const s of builder.fit.seats) {
    const name = inSentence(itemWords(s.name), s.name);
    if (s.key) found.add(`A hexagonal key of ${s.key} for ${name}, from both sides`);
    else if (s.kind === "nutted-rod") found.add(`Two nut drivers for ${name}`);
    else found.add(`Two screwdrivers for ${name}`);
  }
  return [...found, "Tape, or a sheath, over the edge"];
}

function steps(builder: PageBuilder): string[] {
  const { design } = builder.source;
  const { tang, handle, guard } = design;
  const first = "Cover the edge.";
  if (tang.kind === "hidden") {
    const pieces = handle.kind === "stack" ? [...builder.fit.openings].reverse() : [];
    const names = pieces.map((p) => small(customerWords(p.key)));
    if (guard) names.push("guard");
    const loosen =
      tang.end.kind === "take-down"
        ? "Turn the screw at the butt out."
        : tang.end.kind === "cap-nut"
          ? "Turn the cap at the butt off."
          : "Turn the nut at the butt off.";
    return [
      first,
      loosen,
      `Draw off toward the butt, one after the other: ${names.join(", ")}. Straight, without levering against the blade.`,
    ];
  }
  const order = builder.fit.seats.map((s) => inSentence(itemWords(s.name), s.name)).join(", ");
  const tubes = design.fasteners.some((f) => kindOf(f).glued && f.kind === "lanyard-tube");
  return [
    first,
    `Turn out ${order}: all of them a turn first, then each.`,
    `Lift off the right side, then the left.${tubes ? " The lanyard tube is glued into one of them." : ""}`,
  ];
}

/** What finds its own place. */
function registers(builder: PageBuilder): string {
  const { design } = builder.source;
  const { guard, tang } = design;
  const said: string[] = [];
  if (guard && fittingsOn(guard).some((f) => f.kind.kind === "dowels"))
    said.push("Two small pins in the guard's rear go into their holes in what stands behind it");
  if (tang.kind === "hidden") said.push("the tang's shoulders close on the guard");
  else said.push("the screws' barrels find their holes in the tang");
  return `${capital(said.join("; "))}.`;
}

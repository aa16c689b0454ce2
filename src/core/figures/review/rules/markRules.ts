import { SAME_PLACE_MM } from "../../../base/tolerances";
import { markRoom, roomierPlace } from "../../views/markRoom";
import { found, type Rule } from "./context";

const clear: Rule = {
  code: "mark-clear",
  limit: 0.5,
  unit: "mm",
  source:
    "from memory: a mark wants an even face and half a millimetre of it all round; not across a bevel line",
  check: (c) => {
    const limit = c.limit("mark-clear");
    return c.design.blade.marks.flatMap((mark, i) => {
      const room = markRoom(c.design, mark);
      if (room.mm > limit - SAME_PLACE_MM) return [];
      const to = c.quick ? null : roomierPlace(c.design, mark, limit);
      return [
        found("mark-clear", "warning", {
          at: room.at,
          subject: mark.id,
          measured: room.mm,
          limit,
          crosses: room.of,
          fix: to && {
            kind: "set",
            changes: [
              { path: `blade.marks.${i}.xMm`, value: to.xMm },
              { path: `blade.marks.${i}.downMm`, value: to.downMm },
            ],
          },
        }),
      ];
    });
  },
};

export const MARK_RULES: readonly Rule[] = [clear];

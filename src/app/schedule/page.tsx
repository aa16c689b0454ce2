import { Suspense } from "react";
import { SchedulePage } from "@/ui/schedule/SchedulePage";

export default function Page() {
  return (
    <Suspense>
      <SchedulePage />
    </Suspense>
  );
}

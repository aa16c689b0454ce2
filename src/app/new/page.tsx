import { NewKnife } from "@/ui/begin/NewKnife";

export default function Page() {
  return <NewKnife />;
}

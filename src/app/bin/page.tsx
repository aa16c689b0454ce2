import { Bin } from "@/ui/bin/Bin";

export default function Page() {
  return <Bin />;
}

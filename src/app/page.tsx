import { Rack } from "@/ui/rack/Rack";

export default function Page() {
  return <Rack />;
}

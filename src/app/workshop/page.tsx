import { WorkshopScreen } from "@/ui/workshop/WorkshopScreen";

export default function Page() {
  return <WorkshopScreen />;
}

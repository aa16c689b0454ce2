import { LinesPage } from "@/ui/lines/LinesPage";

export default function Page() {
  return <LinesPage />;
}

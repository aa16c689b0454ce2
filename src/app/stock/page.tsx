import { Stock } from "@/ui/stock/Stock";

export default function Page() {
  return <Stock />;
}

// @vitest-environment happy-dom
import { ChakraProvider } from "@chakra-ui/react";
import { act, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { system } from "./theme";
import { UnderWay } from "./UnderWay";

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

it("work is said to be under way after half a second, and no longer when it is done", () => {
  const shown = (on: boolean) => (
    <ChakraProvider value={system}>
      <UnderWay on={on} says="Trying fixes …" />
    </ChakraProvider>
  );
  const { rerender } = render(shown(true));
  act(() => void vi.advanceTimersByTime(450));
  expect(screen.queryByText("Trying fixes …")).toBeNull();
  act(() => void vi.advanceTimersByTime(100));
  expect(screen.getByRole("status").textContent).toBe("Trying fixes …");
  rerender(shown(false));
  expect(screen.queryByText("Trying fixes …")).toBeNull();
  // What is done sooner says nothing.
  rerender(shown(true));
  act(() => void vi.advanceTimersByTime(300));
  rerender(shown(false));
  act(() => void vi.advanceTimersByTime(1000));
  expect(screen.queryByText("Trying fixes …")).toBeNull();
});

"use client";
import { Button, createToaster, Flex, Stack, Toast, Toaster } from "@chakra-ui/react";
import { useEffect } from "react";

export const toaster = createToaster({
  // Under the header: findings and what is being typed stand elsewhere.
  placement: "top",
  offsets: { top: "58px", bottom: "12px", left: "12px", right: "12px" },
  pauseOnPageIdle: true,
  max: 3,
});

/** Goes to what can be done about the newest notice, from wherever one is. */
const NOTICE_KEY = "F8";

function useNoticeKey(): void {
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.key !== NOTICE_KEY || e.ctrlKey || e.altKey || e.metaKey || e.shiftKey) return;
      const actions = [...document.querySelectorAll<HTMLElement>("[data-notice-action]")];
      // The newest one stands first where notices come from above.
      actions[0]?.focus();
      if (actions.length > 0) e.preventDefault();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
}

/** Notices: what happened, and where it can be undone. */
export function Toasts() {
  useNoticeKey();
  return (
    <Toaster toaster={toaster} insetInline={{ mdDown: "4" }}>
      {(toast) => (
        <Toast.Root width={{ md: "sm" }}>
          <Stack gap="1" flex="1" minW="0" maxWidth="100%" overflowWrap="anywhere">
            {toast.title && <Toast.Title>{toast.title}</Toast.Title>}
            {toast.description && <Toast.Description>{toast.description}</Toast.Description>}
          </Stack>
          <Flex gap="2" align="center">
            {toast.action && (
              <Button
                size="sm"
                variant="surface"
                data-notice-action
                aria-keyshortcuts={NOTICE_KEY}
                title={`${toast.action.label} (${NOTICE_KEY})`}
                onClick={toast.action.onClick}
              >
                {toast.action.label}
              </Button>
            )}
            <Toast.CloseTrigger position="static" />
          </Flex>
        </Toast.Root>
      )}
    </Toaster>
  );
}

"use client";
import { Button, createToaster, Flex, Stack, Toast, Toaster } from "@chakra-ui/react";

export const toaster = createToaster({
  // Under the header: findings and what is being typed stand elsewhere.
  placement: "top",
  offsets: { top: "58px", bottom: "12px", left: "12px", right: "12px" },
  pauseOnPageIdle: true,
  max: 3,
});

/** Notices: what happened, and where it can be undone. */
export function Toasts() {
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
              <Button size="sm" variant="surface" onClick={toast.action.onClick}>
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

import { Box, chakra } from "@chakra-ui/react";
import { useQueryClient } from "@tanstack/react-query";
import { useLogOut, useSecondStep } from "../../api/session";
import { Press } from "../../ui/press";
import { SecondStep } from "./SecondStep";

/** An owner whom the workshop asks for a second step sees nothing else before it is on. */
export function StepAsked({ workshop }: { workshop: string }) {
  const on = useSecondStep().now.data?.on;
  const leave = useLogOut();
  const memory = useQueryClient();
  return (
    <Box as="main" minHeight="100%" display="grid" placeItems="center" padding="16">
      <Box width="100%" maxWidth="480px" display="grid" gap="24">
        <chakra.h1 fontSize="26px" fontWeight={600}>
          <bdi>{workshop}</bdi> asks its owners for a second step
        </chakra.h1>
        <SecondStep />
        <Box display="flex" gap="12">
          {on && (
            <Press kind="main" onClick={() => void memory.invalidateQueries({ queryKey: ["me"] })}>
              To the Bench
            </Press>
          )}
          <Press onClick={() => leave.mutate()}>Leave</Press>
        </Box>
      </Box>
    </Box>
  );
}

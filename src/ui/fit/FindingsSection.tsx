"use client";
import { Box, Button, Flex, Input, Stack, Text } from "@chakra-ui/react";
import { Wrench } from "lucide-react";
import { useState } from "react";
import { partRefsOfFinding } from "@/core/figures/review/partRefs";
import type { RuleNote } from "@/core/figures/review/rules/context";
import type { Finding } from "@/core/figures/review/types";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { itemInSentence } from "@/words/fasteners";
import { findingWords, isTradeRule, severityWords } from "@/words/findings";
import { effectWords, offerWords } from "@/words/offers";
import { RULE_WORDS, ruleUnitWords } from "@/words/rules";
import { ShareField } from "../fields/ShareField";
import { useMaterialOf } from "../kit/materials";
import { SEVERITY_TINT } from "../kit/theme";
import { Note, Section } from "../report/Section";
import {
  useBench,
  useBenchState,
  useDesign,
  useFaults,
  useFixesOf,
  useReview,
  useWeighing,
} from "../session/BenchContext";
import { newestFirst } from "../session/noticed";
import { useFix } from "../session/useFix";
import { useHighlight } from "../sight/useHighlight";
import { useRules } from "./useRules";

/** What stands against the knife: why, how to fix it, by one click where it can be worked out; what was accepted. */
export function FindingsSection() {
  const { edit } = useBench();
  const weighing = useWeighing();
  const review = useReview();
  const noticed = useBenchState((s) => s.noticed);
  const rules = useRules();
  const faults = useFaults();
  const fixesOf = useFixesOf() as Design | null;
  const all = newestFirst(noticed, faults ?? [], review?.findings ?? []);
  return (
    <Section id="findings" title="Findings">
      {all.length === 0 && <Text>{weighing ? "No findings." : "Weighing …"}</Text>}
      <Stack gap="3" data-testid="all-findings">
        {all.map((finding, i) => (
          <OneFinding
            key={`${finding.rule}-${finding.subject ?? i}`}
            finding={finding}
            source={rules.find((r) => r.code === finding.rule)?.source ?? null}
            of={finding.fixes ? fixesOf : null}
          />
        ))}
      </Stack>
      {review && review.accepted.length > 0 && (
        <Stack gap="1">
          <Text fontWeight="600">Accepted</Text>
          {review.accepted.map(({ finding, reason }) => (
            <Flex key={`${finding.rule}-${finding.subject}`} gap="3" align="center">
              <Text flex="1" color="graphite">
                {nameOf(finding)}: “{reason}”
              </Text>
              <Button
                size="xs"
                variant="outline"
                aria-label={`Take back: ${nameOf(finding)}`}
                onClick={() =>
                  edit({ code: "take-back-acceptance", rule: finding.rule, subject: finding.subject })
                }
              >
                Take back
              </Button>
            </Flex>
          ))}
        </Stack>
      )}
      <Limits rules={rules} />
    </Section>
  );
}

function nameOf(f: Finding): string {
  return isTradeRule(f.rule) ? RULE_WORDS[f.rule].name : f.rule;
}

/** One finding, with the fixes that were worked out of that state of the knife. */
function OneFinding({
  finding: f,
  source,
  of,
}: {
  finding: Finding;
  source: string | null;
  of: Design | null;
}) {
  const materialOf = useMaterialOf();
  const units = useUnits();
  const design = useDesign();
  const highlight = useHighlight(partRefsOfFinding(design, f), f.at);
  const words = isTradeRule(f.rule) ? RULE_WORDS[f.rule] : null;
  return (
    <Box
      borderLeftWidth="3px"
      borderLeftColor={SEVERITY_TINT[f.severity]}
      pl="3"
      tabIndex={0}
      data-finding={f.rule}
      {...highlight}
    >
      <Text color={SEVERITY_TINT[f.severity]} fontWeight="600">
        {severityWords(f)}
      </Text>
      <Text>{findingWords(f, units, materialOf)}</Text>
      {words && (
        <Note>
          {words.why} {words.fix} <i>{source}</i>
        </Note>
      )}
      {of && <Fixes finding={f} of={of} />}
      {words && <Acceptance finding={f} of={f.items?.map(itemInSentence).join(" and ") ?? ""} />}
    </Box>
  );
}

/** What would take a finding away, each with what it does to weight and balance. */
function Fixes({ finding, of }: { finding: Finding; of: Design }) {
  const units = useUnits();
  const fix = useFix();
  return finding.fixes?.map((offer) => (
    <Flex key={JSON.stringify(offer.fix)} gap="2" mt="1.5" align="center" wrap="wrap">
      <Button
        size="xs"
        whiteSpace="normal"
        maxW="full"
        h="auto"
        minH="6"
        py="1"
        textAlign="start"
        onClick={() => void fix(of, finding, offer.fix)}
      >
        <Wrench /> Fix: {offerWords(offer, of, units)}
      </Button>
      <Text color="graphite" fontSize="sm">
        {effectWords(offer, units)}
      </Text>
    </Flex>
  ));
}

/** Accepts a finding, with the reason; `of` says which items it is of, where it is of some. */
function Acceptance({ finding: f, of }: { finding: Finding; of: string }) {
  const { edit } = useBench();
  const [reason, setReason] = useState<string | null>(null);
  const accept = () => {
    const text = reason?.trim();
    if (!text) return;
    edit({ code: "accept", rule: f.rule, subject: f.subject, reason: text });
    setReason(null);
  };
  return (
    <Flex gap="2" mt="1.5" align="center" wrap="wrap">
      {reason === null ? (
        <Button
          size="xs"
          variant="outline"
          aria-label={`Accept …: ${nameOf(f)}${of ? `, ${of}` : ""}`}
          onClick={() => setReason("")}
        >
          Accept …
        </Button>
      ) : (
        <>
          <Input
            size="xs"
            w="320px"
            autoFocus
            aria-label="Why it is accepted"
            placeholder="Why is it right for this knife?"
            maxLength={300}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === "Enter") accept();
              if (e.key === "Escape") setReason(null);
            }}
          />
          <Button size="xs" variant="outline" disabled={!reason.trim()} onClick={accept}>
            Accept
          </Button>
        </>
      )}
    </Flex>
  );
}

/** Every rule's limit, as it is or as this knife's maker wants it. */
function Limits({ rules }: { rules: readonly RuleNote[] }) {
  const { edit } = useBench();
  const design = useDesign();
  const [open, setOpen] = useState(false);
  return (
    <Stack gap="2">
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        Limits of the rules
      </Button>
      {open && (
        <Stack gap="2" maxW="460px">
          <Note>The usual limits are common practice; change them where you know better.</Note>
          {rules
            .filter((r) => r.unit !== "none")
            .map((r) => (
              <ShareField
                key={r.code}
                label={RULE_WORDS[r.code].name}
                unit={ruleUnitWords(r.unit)}
                value={design.fitUp.limits[r.code] ?? r.limit}
                min={0}
                max={1000}
                help={
                  design.fitUp.limits[r.code] !== undefined && design.fitUp.limits[r.code] !== r.limit
                    ? `Usually ${r.limit}.`
                    : undefined
                }
                onChange={(value) => edit({ code: "entry", map: "fitUp.limits", key: r.code, to: value })}
              />
            ))}
        </Stack>
      )}
    </Stack>
  );
}

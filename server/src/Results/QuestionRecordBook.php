<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Sample;
use ChalkLadder\Server\Bank\Api\View\RecordLineView;
use ChalkLadder\Server\Bank\ItemRecord;
use ChalkLadder\Server\Bank\QuestionRecords;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Results\ReadModel\UseOfQuestions;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Service\ResetInterface;

/**
 * What is known of questions from all their uses, by the same counting as the results: a student counts once a handout, by
 * its attempt rule, and what was seen and left blank counts as no credit. A handout is counted once for each state it was in.
 */
final class QuestionRecordBook implements QuestionRecords, ResetInterface
{
    private const MOST_LINES = 12;

    /** @var array<string, array<string, QuestionTally>> those that this request has used, by handout and state */
    private array $used = [];

    public function __construct(
        private readonly UseOfQuestions $uses,
        private readonly Handouts $handouts,
        private readonly Counting $counting,
        private readonly CacheInterface $cache,
    ) {
    }

    public function of(array $questionIds): array
    {
        $found = [];
        foreach ($this->uses->of($questionIds) as $use) {
            $tally = $this->tallies($use['team'], $use['handout'], $use['state'])[$use['entry']] ?? null;
            if ($tally !== null && $tally->students !== []) {
                $found[$use['item']][] = [$use['handout'], $tally];
            }
        }

        return array_map(static function (array $uses): ItemRecord {
            $tallies = array_column($uses, 1);
            $credits = array_merge(...array_map(static fn (QuestionTally $t): array => $t->credits, $tallies));
            $students = array_unique(array_merge(...array_map(static fn (QuestionTally $t): array => $t->students, $tallies)));
            $seconds = array_merge(...array_map(static fn (QuestionTally $t): array => $t->seconds, $tallies));

            return new ItemRecord(
                count(array_unique(array_column($uses, 0))),
                count($students),
                Sample::mean($credits),
                Sample::quantile($seconds, 0.5),
            );
        }, $found);
    }

    public function facilities(string $teamId): array
    {
        $state = $this->uses->stateOf($teamId);

        return $this->cache->get("facilities-$teamId-$state", fn (): array => array_filter(
            array_map(static fn (ItemRecord $r): ?float => $r->facility, $this->of($this->uses->sat($teamId))),
            is_float(...),
        ));
    }

    public function lines(string $questionId): array
    {
        $counts = [];
        // Lines are the question's own: what is the same may have its options in another order.
        foreach (array_filter($this->uses->of([$questionId]), static fn (array $use): bool => $use['own']) as $use) {
            foreach ($this->tallies($use['team'], $use['handout'], $use['state'])[$use['entry']]->lines ?? [] as $line => $n) {
                $counts[$line] = ($counts[$line] ?? 0) + $n;
            }
        }
        ksort($counts);
        arsort($counts);

        return array_map(
            static fn (string $line, int $n): RecordLineView => new RecordLineView($line, $n),
            array_map(strval(...), array_slice(array_keys($counts), 0, self::MOST_LINES)),
            array_slice(array_values($counts), 0, self::MOST_LINES),
        );
    }

    public function reset(): void
    {
        $this->used = [];
    }

    /** @return array<string, QuestionTally> by entry */
    private function tallies(string $teamId, string $handoutId, string $state): array
    {
        return $this->used["$handoutId-$state"] ??= $this->cache->get("tally-$handoutId-$state",
            function () use ($teamId, $handoutId): array {
                $columns = $this->counting->columns($this->handouts->find($teamId, $handoutId));
                $tallies = [];
                foreach ($columns->questions as $question) {
                    $tallies[$question->id] = self::tally($question, $columns);
                }

                return $tallies;
            });
    }

    private static function tally(Question $question, Columns $columns): QuestionTally
    {
        $students = $credits = $seconds = $lines = [];
        foreach ($question->cells as $s => $cell) {
            if ($cell === Cell::Answered || $cell === Cell::Omitted || $cell === Cell::Waiting) {
                $students[] = $columns->students[$s]->studentId;
            }
            $credit = $question->counts($s);
            if ($credit !== null) {
                $credits[] = $credit;
            }
            if ($cell === Cell::Answered && ($question->seconds[$s] ?? null) !== null) {
                $seconds[] = $question->seconds[$s];
            }
        }
        foreach ($columns->answered[$question->id] ?? [] as $answer) {
            $lines[$answer->line] = ($lines[$answer->line] ?? 0) + 1;
        }

        return new QuestionTally($students, $credits, $seconds, $lines);
    }
}

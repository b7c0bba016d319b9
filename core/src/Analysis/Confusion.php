<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** What rivals the key of a question or of one of its parts: how close the two are, and among how many. */
final readonly class Confusion
{
    /** Below this share of the answers nobody speaks of a rival. */
    private const LEAST = 0.1;

    /**
     * @param Part|null $part    null where options are picked
     * @param float     $rivalry twice the smaller of the two shares: 1 when half take the key and half the rival
     * @param float     $p       exact binomial test of an even split between the two
     * @param bool      $few     so few took either that the test says little
     */
    private function __construct(
        public string $question,
        public ?Part $part,
        public string $key,
        public string $rival,
        public int $keyCount,
        public int $rivalCount,
        public int $upperKey,
        public int $upperRival,
        public int $n,
        public float $rivalry,
        public float $p,
        public bool $few,
    ) {
    }

    /**
     * The closest first; at most one a question, or one for each of its parts.
     *
     * @param list<QuestionReport> $questions
     *
     * @return list<self>
     */
    public static function among(array $questions): array
    {
        $found = [];
        foreach ($questions as $question) {
            $keys = array_values(array_filter($question->options, static fn (OptionReport $o): bool => $o->key));
            $rivals = array_values(array_filter($question->options, static fn (OptionReport $o): bool => !$o->key));
            usort($rivals, static fn (OptionReport $a, OptionReport $b): int => [$b->count, $a->id] <=> [$a->count, $b->id]);
            if (count($keys) === 1 && $rivals !== []) {
                $found[] = self::between($question, null, $keys[0], $rivals[0]);
            }
            foreach ($question->parts as $report) {
                $found[] = self::between($question, $report->part, $report->key, $report->rival);
            }
        }
        $found = array_values(array_filter($found));
        usort($found, static fn (self $a, self $b): int => $b->rivalry <=> $a->rivalry);

        return $found;
    }

    private static function between(QuestionReport $question, ?Part $part, OptionReport $key, OptionReport $rival): ?self
    {
        return $rival->share < self::LEAST ? null : new self(
            $question->id,
            $part,
            $key->id,
            $rival->id,
            $key->count,
            $rival->count,
            $key->upperCount,
            $rival->upperCount,
            $question->facility->n,
            2 * min($key->share, $rival->share),
            Curves::evenSplit($rival->count, $key->count + $rival->count),
            Figure::few($key->count + $rival->count) !== null,
        );
    }
}

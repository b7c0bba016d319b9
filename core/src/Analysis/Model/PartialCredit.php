<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * The partial credit model (Masters, Psychometrika 47, 1982) by conditional maximum likelihood: a question is a row of steps, and the
 * threshold of a step is the ability at which it is as likely taken as not. Open and multi-mark questions stand on one scale with
 * those that are right or wrong, for which it is the Rasch model. What a score says of ability is taken out, so the thresholds
 * do not depend on who sat. Their mean is zero.
 */
final readonly class PartialCredit
{
    public const FORMULA = 'Partial credit model by conditional maximum likelihood (Masters 1982); thresholds in logits, their mean is zero.';
    private const MOST_STEPS = 120;
    private const MOST_PASSES = 10;
    private const TOO_FEW = 'At least two questions are needed that not all have the same credit in.';

    /**
     * @param list<array{id: string, difficulty: float|null, thresholds: list<float>, se: list<float>, note: string|null}> $questions difficulty: the
     *                                                                                                     mean of its thresholds
     * @param list<float|null> $abilities     of each student, by Warm's estimate; null without an answer
     * @param list<float|null> $abilityErrors
     * @param int              $counted       students with neither nothing nor everything
     */
    private function __construct(
        public array $questions,
        public array $abilities,
        public array $abilityErrors,
        public int $counted,
        public ?string $note,
    ) {
    }

    /**
     * @param list<string>         $ids  of the questions
     * @param list<list<int|null>> $rows steps taken, 0 up, by student and question
     */
    public static function of(array $ids, array $rows): self
    {
        [$codes, $within] = self::codes($rows, count($ids));
        $columns = array_keys(array_filter($codes, static fn (array $of): bool => count($of) > 1));
        $steps = array_sum(array_map(static fn (int $c): int => count($codes[$c]) - 1, $columns));
        $note = match (true) {
            count($columns) < 2 || count($within) < 2 => self::TOO_FEW,
            $steps > self::MOST_STEPS => sprintf('More than %d steps are too many for this model.', self::MOST_STEPS),
            default => null,
        };
        $none = array_fill(0, count($rows), null);
        if ($note !== null) {
            return new self(
                array_map(
                    static fn (string $id): array => ['id' => $id, 'difficulty' => null, 'thresholds' => [], 'se' => [], 'note' => $note],
                    $ids,
                ),
                $none,
                $none,
                count($within),
                $note,
            );
        }
        $coded = array_map(static fn (array $row): array => array_map(
            static fn (int $c): ?int => $row[$c] === null ? null : $codes[$c][$row[$c]] ?? null,
            $columns,
        ), $rows);
        $scaling = new CategoryScaling(
            array_map(static fn (int $c): int => count($codes[$c]) - 1, $columns),
            array_map(static fn (int $s): array => $coded[$s], $within),
        );
        $thresholds = $scaling->thresholds();
        $errors = $scaling->errors();
        $questions = [];
        $place = array_flip($columns);
        foreach ($ids as $c => $id) {
            $i = $place[$c] ?? null;
            $own = $i === null ? [] : $thresholds[$i];
            $skipped = array_keys($codes[$c]) !== range(0, max(0, count($codes[$c]) - 1));
            $questions[] = [
                'id' => $id,
                'difficulty' => $own === [] ? null : array_sum($own) / count($own),
                'thresholds' => $own,
                'se' => $i === null ? [] : $errors[$i] ?? [],
                'note' => match (true) {
                    $own === [] => 'All who answered it have the same credit.',
                    $skipped => 'Credits that nobody has are passed over; the others count as one step each.',
                    default => null,
                },
            ];
        }
        $abilities = $abilityErrors = $known = [];
        foreach ($coded as $row) {
            $answered = array_filter($row, is_int(...));
            $key = array_sum($answered).'|'.implode(',', array_keys($answered));
            $known[$key] ??= $answered === [] ? [null, null] : Warm::estimate(
                array_values(array_intersect_key($thresholds, $answered)),
                array_sum($answered),
            );
            [$abilities[], $abilityErrors[]] = $known[$key];
        }

        return new self($questions, $abilities, $abilityErrors, count($within), null);
    }

    /**
     * Credits that occur among students with neither nothing nor everything, counted up from 0: the model has no place for a credit
     * that nobody has. Who has everything depends on them in turn, so it is looked at until it stays.
     *
     * @param list<list<int|null>> $rows
     *
     * @return array{list<array<int, int>>, list<int>} step by credit, for each question; the students
     */
    private static function codes(array $rows, int $questions): array
    {
        $within = array_keys($rows);
        $codes = [];
        for ($pass = 0; $pass < self::MOST_PASSES; ++$pass) {
            $codes = [];
            for ($c = 0; $c < $questions; ++$c) {
                $seen = [];
                foreach ($within as $s) {
                    if ($rows[$s][$c] !== null) {
                        $seen[$rows[$s][$c]] = true;
                    }
                }
                ksort($seen);
                $codes[] = array_flip(array_keys($seen));
            }
            $left = array_values(array_filter($within, static function (int $s) use ($rows, $codes): bool {
                $score = $most = 0;
                foreach ($rows[$s] as $c => $credit) {
                    if ($credit !== null) {
                        $score += $codes[$c][$credit];
                        $most += count($codes[$c]) - 1;
                    }
                }

                return $score > 0 && $score < $most;
            }));
            if ($left === $within) {
                break;
            }
            $within = $left;
        }

        return [$codes, $within];
    }
}

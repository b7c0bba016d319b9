<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;

/**
 * What a paper asks, skill by skill, against what it is planned to ask: questions, marks, the share of marks that is to be expected, and
 * minutes; and where it is thin. Counted over all sections, whichever way a student takes.
 */
final readonly class Blueprint
{
    private const EASY = 0.9;
    private const HARD = 0.25;

    /** @param list<BlueprintRow> $rows planned skills first, in their order; then others as they come; questions without a skill last */
    private function __construct(public array $rows, public BlueprintRow $whole)
    {
    }

    /**
     * @param array<string, array{skill: string|null, facility: float|null, seconds: float}> $questions by entry: what each is evidence
     *        of, the mean credit it has brought so far (0…1, null where nobody has answered it), and its typical time
     */
    public static function of(Paper $paper, array $questions): self
    {
        $wanted = $entries = [];
        foreach ($paper->plan as $planned) {
            $wanted[$planned->skill] = $planned->marks;
            $entries[$planned->skill] = [];
        }
        $chances = [];
        foreach ($paper->sections as $section) {
            foreach ($section->questions() as $entry) {
                if (isset($questions[$entry->id])) {
                    $entries[$questions[$entry->id]['skill'] ?? ''][] = $entry;
                    $chances[$entry->id] = $section->chance($entry);
                }
            }
        }
        if (isset($entries[''])) {
            $bare = $entries[''];
            unset($entries['']);
            $entries[''] = $bare;
        }
        $rows = [];
        foreach ($entries as $skill => $of) {
            $skill = (string) $skill;
            $rows[] = self::row($skill === '' ? null : $skill, $of, $questions, $chances, $wanted[$skill] ?? null);
        }
        $plan = array_map(static fn (Planned $p): BigRational => $p->marks, $paper->plan);

        return new self($rows, self::row(
            null,
            array_merge(...array_values($entries)),
            $questions,
            $chances,
            $plan === [] ? null : BigRational::sum(BigRational::zero(), ...$plan)->simplified(),
            false,
        ));
    }

    /**
     * @param list<Entry>                                                                      $entries
     * @param array<string, array{skill: string|null, facility: float|null, seconds: float}> $questions
     * @param array<string, BigRational> $chances how likely a student gets each, by entry
     */
    private static function row(
        ?string $skill,
        array $entries,
        array $questions,
        array $chances,
        ?BigRational $wanted,
        bool $judged = true,
    ): BlueprintRow {
        $marks = BigRational::zero();
        $known = $weight = $reached = $seconds = 0.0;
        foreach ($entries as $entry) {
            $points = $entry->points->multipliedBy($chances[$entry->id]);
            $marks = $marks->plus($points)->simplified();
            $seconds += $questions[$entry->id]['seconds'] * $chances[$entry->id]->toFloat();
            $facility = $questions[$entry->id]['facility'];
            if ($facility !== null) {
                ++$known;
                $weight += $points->toFloat();
                $reached += $facility * $points->toFloat();
            }
        }
        $expected = $weight > 0.0 ? $reached / $weight : null;

        return new BlueprintRow(
            $skill,
            array_map(static fn (Entry $e): string => $e->id, $entries),
            $marks,
            $wanted,
            $expected,
            (int) $known,
            $seconds,
            $judged ? self::thin($skill, count($entries), $marks, $wanted, $expected) : [],
        );
    }

    /** @return list<string> sentences */
    private static function thin(?string $skill, int $questions, BigRational $marks, ?BigRational $wanted, ?float $expected): array
    {
        $says = [];
        $missing = $wanted?->minus($marks);
        $inMarks = static fn (BigRational $n): string => NumberText::write($n).($n->isEqualTo(1) ? ' mark' : ' marks');
        if ($missing !== null && !$missing->isZero()) {
            $says[] = $missing->isPositive()
                ? sprintf('%s of %s still to come.', ucfirst($inMarks($missing)), NumberText::write($wanted))
                : sprintf('%s more than planned.', ucfirst($inMarks($missing->negated())));
        }
        if ($skill === null) {
            $says[] = 'These questions are evidence of nothing: name their skill in the bank.';
        } elseif ($questions === 1) {
            $says[] = 'One question alone says little of a skill.';
        }
        if ($expected !== null && $expected > self::EASY) {
            $says[] = 'Nearly everybody has these right, so that they tell students apart little.';
        } elseif ($expected !== null && $expected < self::HARD) {
            $says[] = 'Hardly anybody has these right.';
        }

        return $says;
    }
}

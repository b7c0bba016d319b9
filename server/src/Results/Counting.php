<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Part;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Report;
use ChalkLadder\Core\Item\Alternative;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\ReadModel\ClassOfStudents;
use ChalkLadder\Server\Results\ReadModel\CountingReader;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;

/** Puts a handout's handed-in work into columns, a student counted once. */
final readonly class Counting
{
    public function __construct(private CountingReader $reader, private ClassOfStudents $classes, private Terms $terms)
    {
    }

    /**
     * The columns with what the core makes of them.
     *
     * @param string $class name of the class to which they are limited, or ''
     */
    public function count(HandedOut $handout, string $class = ''): Counted
    {
        $columns = $this->columns($handout, $class);
        $marks = array_map(static fn (CountedStudent $s): float => $s->marks, $columns->students);

        return new Counted($columns, Report::of($columns->questions, count($columns->students), $marks));
    }

    /** @param string $class name of the class to which they are limited, or '' */
    public function columns(HandedOut $handout, string $class = ''): Columns
    {
        $of = $class === '' ? [] : $this->classes->now($handout->id);
        $paper = $handout->edition->paper();
        // What is not scored has no figure of its own; that it was reached still counts for those before it.
        $items = array_filter($handout->edition->items(), static fn (Item $i): bool => $i->type()->definition()->isScored());
        $picked = array_map(
            static fn (Item $i): array => array_map(static fn (Alternative $a): string => $a->id, $i->rule->alternatives()),
            $items,
        );
        $points = array_map(static fn (Item $i): float => $i->points->toFloat(), $items);
        // What turned out to be the same idea counts as one, also where a published question still knows two.
        $same = $this->terms->sameAs($handout->teamId);
        $offers = array_map(static fn (Item $i): array => self::named($i->misconceptions(), $same), $items);
        $byStudent = $counting = [];
        foreach ($this->reader->attempts($handout->id) as $attempt) {
            if ($class !== '' && ($of[$attempt->studentId] ?? '') !== $class) {
                continue;
            }
            $byStudent[$attempt->studentId][$attempt->counts ? 'counting' : 'others'][] = $attempt;
            if ($attempt->counts) {
                $counting[$attempt->sittingId] = true;
            }
        }
        $inParts = array_keys(array_filter(
            $items,
            static fn (Item $item, string $entry): bool => self::comesInParts($handout, $entry, $item),
            ARRAY_FILTER_USE_BOTH,
        ));
        $given = $this->reader->answers($handout->id, $counting, $inParts);
        $columns = $orders = $students = $evidence = $answered = [];
        foreach ($byStudent as $own) {
            $chosen = $own['counting'] ?? [];
            if ($chosen === []) {
                continue;
            }
            $answers = array_map(static fn (CountedAttempt $a): array => $given[$a->sittingId] ?? [], $chosen);
            $cells = [];
            foreach ($chosen as $i => $attempt) {
                $order = $orders[$attempt->walk] ??= array_values(array_unique(array_column(
                    SittingReader::walk($attempt->walk)->steps($paper),
                    'entry',
                )));
                $cells[] = self::attempt($paper, $order, $answers[$i]);
            }
            $offered = $shown = [];
            foreach (array_keys($items) as $entry) {
                $each = array_map(static fn (array $c): array => $c[$entry] ?? [Cell::NotGiven, null], $cells);
                [$cell, $credit] = count($each) === 1 ? $each[0] : Cell::mean($each);
                // The latest attempt that has an answer says what the student thinks.
                $answer = null;
                foreach ($answers as $byEntry) {
                    $answer = $byEntry[$entry] ?? $answer;
                }
                $columns[$entry]['cells'][] = $cell;
                $columns[$entry]['credits'][] = $credit;
                $columns[$entry]['picks'][] = $answer?->picksOf($picked[$entry]) ?? [];
                $columns[$entry]['seconds'][] = $answer?->millis === null ? null : $answer->millis / 1000.0;
                $columns[$entry]['sure'][] = $answer?->confidence;
                $columns[$entry]['parts'][] = $answer?->response === null ? [] : $items[$entry]->rule->parts($answer->response);
                if ($answer !== null) {
                    $answered[$entry][] = $answer;
                }
                $said = self::named($answer->misconceptions ?? [], $same);
                foreach ($cell === Cell::Answered ? $offers[$entry] : [] as $id) {
                    $offered[$id] = ($offered[$id] ?? 0) + 1;
                    $shown[$id] = ($shown[$id] ?? 0) + (in_array($id, $said, true) ? 1 : 0);
                }
            }
            $evidence[] = array_map(
                static fn (string $id): Evidence => Evidence::of($shown[$id], $offered[$id]),
                array_combine(array_keys($offered), array_keys($offered)),
            );
            $students[] = self::student($chosen, $own['others'] ?? [], $cells, $points);
        }
        $questions = [];
        foreach ($items as $entry => $item) {
            $options = [];
            foreach ($item->rule->alternatives() as $one) {
                $options[$one->id] = $one->key;
            }
            $c = $columns[$entry] ?? ['cells' => [], 'credits' => [], 'picks' => [], 'seconds' => [], 'sure' => [], 'parts' => []];
            $questions[] = new Question(
                (string) $entry,
                $points[$entry],
                $options,
                $c['cells'],
                $c['credits'],
                $c['picks'],
                $c['seconds'],
                $item->confidence ? $c['sure'] : [],
                Part::among($c['parts']),
            );
        }

        return new Columns($students, $questions, $evidence, $answered);
    }

    /**
     * @param list<string>          $ids
     * @param array<string, string> $same what stands for each that is part of another
     *
     * @return list<string>
     */
    private static function named(array $ids, array $same): array
    {
        return $same === [] ? $ids : array_values(array_unique(array_map(static fn (string $id): string => $same[$id] ?? $id, $ids)));
    }

    /** Where each has own numbers, answers are not the same question’s; where options are picked, picks are counted. */
    private static function comesInParts(HandedOut $handout, string $entry, Item $item): bool
    {
        return $item->rule->alternatives() === [] && !$item->rule->waitsForMarker()
            && $handout->edition->template($entry)?->hasVariables() === false;
    }

    /**
     * What one attempt gave the student, by entry.
     *
     * @param list<string>                 $order the entries it led to
     * @param array<string, CountedAnswer> $given
     *
     * @return array<string, array{Cell, float|null}>
     */
    private static function attempt(Paper $paper, array $order, array $given): array
    {
        $attempt = [];
        foreach (Cell::ofOrder(array_map(static fn (string $e): bool => isset($given[$e]), $order)) as $i => $cell) {
            $credit = isset($given[$order[$i]]) ? Walk::bestCreditAsFloat($paper, $given[$order[$i]]->credits) : null;
            $attempt[$order[$i]] = match (true) {
                $cell === Cell::Omitted => [$cell, 0.0],
                $cell === Cell::Answered && $credit === null => [Cell::Waiting, null],
                default => [$cell, $credit],
            };
        }

        return $attempt;
    }

    /**
     * @param non-empty-list<CountedAttempt>               $chosen the attempts that count; the last stands for the student
     * @param list<CountedAttempt>                         $others
     * @param list<array<string, array{Cell, float|null}>> $cells  of each chosen attempt, by entry
     * @param array<string, float>                         $points by entry
     */
    private static function student(array $chosen, array $others, array $cells, array $points): CountedStudent
    {
        $marks = array_map(static fn (CountedAttempt $a): float => $a->marks, $chosen);
        $worth = static fn (array $some): float => array_sum(array_intersect_key($points, $some));
        $of = array_sum(array_map($worth, $cells)) / count($cells);
        $waiting = array_sum(array_map(
            static fn (array $own): float => $worth(array_filter($own, static fn (array $c): bool => $c[0] === Cell::Waiting)),
            $cells,
        )) / count($cells);
        $mark = array_sum($marks) / count($marks);
        $last = $chosen[count($chosen) - 1];

        return new CountedStudent(
            $last->studentId,
            $last->sittingId,
            $last->name,
            $mark,
            $of,
            $waiting,
            $of - $waiting > 0.0 ? $mark / ($of - $waiting) : null,
            $last->attempt,
            array_map(static fn (CountedAttempt $a): float => $a->marks, $others),
            count($marks) > 1 ? $marks : [],
            $last->state,
            $last->fewerOptions,
            array_sum(array_map(static fn (CountedAttempt $a): int => $a->corrected, $chosen)),
        );
    }
}

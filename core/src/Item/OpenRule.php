<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;

/** An open answer, drawn working, recording or upload, marked by hand with an analytic rubric: the levels' points are added. */
final readonly class OpenRule implements Rule
{
    /** @param list<Criterion> $criteria */
    public function __construct(public array $criteria, private ItemType $type = ItemType::Open)
    {
    }

    public function type(): ItemType
    {
        return $this->type;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        if ($response->files !== []) {
            return Outcome::byHand(sprintf('%d %s', count($response->files), count($response->files) === 1 ? 'file' : 'files'));
        }
        $words = preg_match_all('/[\p{L}\p{N}][\p{L}\p{N}\'’-]*/u', $response->text);

        return Outcome::byHand(sprintf('%d %s', (int) $words, $words === 1 ? 'word' : 'words'));
    }

    /**
     * Credit for one level picked in each criterion: points reached / points possible.
     *
     * @param list<int|null> $levels the index of the level for each criterion, null where none is picked yet
     *
     * @return BigRational|null null while a criterion is undecided
     */
    public function creditFor(array $levels): ?BigRational
    {
        $sum = BigRational::zero();
        foreach ($this->criteria as $i => $criterion) {
            $level = $criterion->levels[$levels[$i] ?? -1] ?? null;
            if ($level === null) {
                return null;
            }
            $sum = $sum->plus($level->points);
        }
        $most = $this->most();

        return $most->isZero() ? BigRational::zero() : $sum->dividedBy($most)->simplified();
    }

    /**
     * @param list<int|null> $levels
     *
     * @return list<string> ids of the misconceptions that the picked levels show
     */
    public function misconceptionsOf(array $levels): array
    {
        $found = [];
        foreach ($this->criteria as $i => $criterion) {
            $id = ($criterion->levels[$levels[$i] ?? -1] ?? null)?->misconception;
            if ($id !== null) {
                $found[$id] = $id;
            }
        }

        return array_values($found);
    }

    public function most(): BigRational
    {
        return array_reduce(
            $this->criteria,
            static fn (BigRational $sum, Criterion $c): BigRational => $sum->plus($c->most()),
            BigRational::zero(),
        );
    }

    /**
     * Levels whose share of the question's points is no whole or half mark, and would be rounded.
     *
     * @return list<Defect>
     */
    public function misfits(BigRational $points): array
    {
        $most = $this->most();
        if ($most->isZero()) {
            return [];
        }
        foreach ($this->criteria as $criterion) {
            foreach ($criterion->levels as $level) {
                $marks = $level->points->multipliedBy($points)->dividedBy($most)->simplified();
                if (!$marks->multipliedBy(2)->simplified()->getDenominator()->isEqualTo(1)) {
                    return [Defect::advice(sprintf(
                        'The rubric adds up to %s, the question is worth %s: "%s" of "%s" would earn %s marks, which are rounded. Let the levels add up to the points.',
                        NumberText::write($most),
                        NumberText::write($points),
                        $level->descriptor,
                        $criterion->name,
                        NumberText::write($marks),
                    ))];
                }
            }
        }

        return [];
    }

    public function waitsForMarker(): bool
    {
        return true;
    }

    public function misconceptions(): array
    {
        $found = [];
        foreach ($this->criteria as $criterion) {
            foreach ($criterion->levels as $level) {
                if ($level->misconception !== null) {
                    $found[$level->misconception] = $level->misconception;
                }
            }
        }

        return array_values($found);
    }

    public function toArray(): array
    {
        return ['criteria' => array_map(static fn (Criterion $c): array => $c->toArray(), $this->criteria)];
    }

    public function defects(): array
    {
        if ($this->criteria === []) {
            return [Defect::blocking('The rubric has no criterion, so the answer cannot be marked.')];
        }
        $defects = [];
        foreach ($this->criteria as $criterion) {
            if (count($criterion->levels) < 2) {
                $defects[] = Defect::blocking(sprintf('Criterion "%s" needs at least two levels.', $criterion->name));
            } elseif ($criterion->most()->isZero()) {
                $defects[] = Defect::blocking(sprintf('Criterion "%s" has no level with points.', $criterion->name));
            }
        }

        return $defects;
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Response\TextResponse;

/** An open answer, drawn working, recording or upload: words or files, marked by hand with a rubric. */
abstract readonly class RubricRule extends PlainRule implements Rubric
{
    private const MOST_CRITERIA = 8;
    private const MOST_LEVELS = 10;

    /** @param list<Criterion> $criteria */
    public function __construct(private array $criteria)
    {
    }

    /** @return list<Criterion> */
    protected static function criteriaOf(Node $node): array
    {
        return array_map(self::criterion(...), $node->children('criteria', self::MOST_CRITERIA));
    }

    private static function criterion(Node $node): Criterion
    {
        $levels = [];
        foreach ($node->children('levels', self::MOST_LEVELS) as $level) {
            $levels[] = new Level(
                $level->rational('points', '0', '100'),
                $level->text('descriptor', 500),
                $level->textOrNull('misconception', 36),
            );
            $level->rejectUnknown();
        }
        $criterion = new Criterion($node->text('name', 120), $levels);
        $node->rejectUnknown();

        return $criterion;
    }

    public function criteria(): array
    {
        return $this->criteria;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }

        return Outcome::byHand($this->measure($response));
    }

    /** How much was given, in a few words. */
    protected function measure(Response $response): string
    {
        return $response instanceof HoldsFiles && $response->files() !== []
            ? self::counted(count($response->files()), 'file', 'files')
            : self::words(TextResponse::textOf($response));
    }

    protected static function counted(int $n, string $one, string $several): string
    {
        return $n.' '.($n === 1 ? $one : $several);
    }

    private static function words(string $text): string
    {
        $words = preg_match_all('/[\p{L}\p{N}][\p{L}\p{N}\'’-]*/u', $text);

        return self::counted((int) $words, 'word', 'words');
    }

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

    public function misconceptionsOf(array $levels): array
    {
        $found = [];
        foreach ($this->picked($levels) as [, $level]) {
            if ($level->misconception !== null) {
                $found[$level->misconception] = $level->misconception;
            }
        }

        return array_values($found);
    }

    public function levelsInWords(array $levels): array
    {
        return array_map(
            static fn (array $picked): string => $picked[0]->name.': '.$picked[1]->descriptor,
            $this->picked($levels),
        );
    }

    /**
     * @param list<int|null> $levels
     *
     * @return list<array{Criterion, Level}>
     */
    private function picked(array $levels): array
    {
        $picked = [];
        foreach ($this->criteria as $i => $criterion) {
            $level = $criterion->levels[$levels[$i] ?? -1] ?? null;
            if ($level !== null) {
                $picked[] = [$criterion, $level];
            }
        }

        return $picked;
    }

    private function most(): BigRational
    {
        return array_reduce(
            $this->criteria,
            static fn (BigRational $sum, Criterion $c): BigRational => $sum->plus($c->most()),
            BigRational::zero(),
        );
    }

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

    /** What a marker will look for is said beforehand; what earns how much is not. */
    public function face(Showing $showing): array
    {
        return ['criteria' => array_map(static fn (Criterion $c): string => $c->name, $this->criteria)];
    }

    public function inWords(Response $response): string
    {
        $text = TextResponse::textOf($response);

        if (!$response instanceof HoldsFiles || $response->isBlank()) {
            return $text;
        }

        return $text === '' ? $this->measure($response) : $text.' ('.$this->measure($response).')';
    }

    /** What was drawn, said or photographed is like nothing else, however few words it takes to name it. */
    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return $response instanceof HoldsFiles ? hash('sha256', ResponseReader::key($response)) : $this->inWords($response);
    }

    public function accepting(Response $response, BigRational $credit, string $feedback): Rule
    {
        throw new NotAcceptable('', 'This question has no key.');
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Level bands with lower cuts on the share of marks, 0…1. Names and cuts are the team's. */
final readonly class Rungs
{
    /** Two, or there is nothing to climb; more than six are no shape that one takes in at a glance. */
    public const LEAST = 2;
    public const MOST = 6;
    private const LONGEST = 24;

    /** @param non-empty-list<array{name: string, from: float}> $bands rising cuts, the first from 0 */
    public function __construct(public array $bands = [
        ['name' => 'footing', 'from' => 0.0],
        ['name' => 'climbing', 'from' => 0.5],
        ['name' => 'clear', 'from' => 0.75],
    ])
    {
    }

    /**
     * As a team names them, from the lowest up.
     *
     * @param list<array{name: string, from: int}> $bands each with its lower cut in percent of the marks
     *
     * @throws \DomainException that says in words what cannot be
     */
    public static function named(array $bands): self
    {
        if (count($bands) < self::LEAST || count($bands) > self::MOST) {
            throw new \DomainException(sprintf('There are %d to %d rungs.', self::LEAST, self::MOST));
        }
        $read = [];
        foreach ($bands as $i => $band) {
            $name = trim($band['name']);
            $before = $bands[$i - 1] ?? null;
            $fault = match (true) {
                $name === '' => sprintf('Name rung %d.', $i + 1),
                mb_strlen($name) > self::LONGEST => sprintf('“%s” is longer than %d letters.', $name, self::LONGEST),
                in_array(mb_strtolower($name), array_map(mb_strtolower(...), array_column($read, 'name')), true) => sprintf('Two rungs are called “%s”.', $name),
                $before === null && $band['from'] !== 0 => 'The lowest rung begins at 0 %.',
                $before !== null && $band['from'] <= $before['from'] => sprintf('“%s” begins above the rung below it: at more than %d %%.', $name, $before['from']),
                $band['from'] > 100 => sprintf('“%s” cannot begin above 100 %%.', $name),
                default => null,
            };
            if ($fault !== null) {
                throw new \DomainException($fault);
            }
            $read[] = ['name' => $name, 'from' => $band['from'] / 100];
        }

        return new self($read);
    }

    /** The rung reached: 1 for the lowest. */
    public function reached(float $share): int
    {
        $rung = 1;
        foreach ($this->bands as $i => $band) {
            // A share that is a cut but for the last bit of arithmetic has reached it.
            $rung = $share >= $band['from'] - 1e-9 ? $i + 1 : $rung;
        }

        return $rung;
    }

    public function name(int $rung): string
    {
        return $this->bands[$rung - 1]['name'] ?? '';
    }
}

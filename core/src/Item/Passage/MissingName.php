<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

/** Who did what: a name left out of its sentence, to be told from the other names of the passage. */
final class MissingName implements Proposes
{
    private const LEAST_NAMES = 3;

    public function from(Passage $passage): array
    {
        if (count($passage->names) < self::LEAST_NAMES) {
            return [];
        }
        $candidates = [];
        foreach ($passage->sentences as $sentence) {
            if ($sentence->words() < 5 || $sentence->words() > 40) {
                continue;
            }
            // The longest first: Gannet Light before Gannet.
            $names = $passage->names;
            usort($names, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
            foreach ($names as $name) {
                $quoted = $sentence->with($name, '____');
                if ($quoted === null) {
                    continue;
                }
                $others = array_filter(
                    $passage->names,
                    static fn (string $n): bool => !str_contains($n, $name) && !str_contains($name, $n)
                        && !str_contains($sentence->text, $n),
                );
                if (count($others) >= 2) {
                    $candidates[] = Candidate::of(
                        'who did what: a name left out',
                        $sentence,
                        'choice',
                        'Which name belongs in the gap?',
                        $quoted,
                        Candidate::options([$name, ...array_slice(array_values($others), 0, 3)]),
                    );
                }

                break;
            }
        }

        return $candidates;
    }
}

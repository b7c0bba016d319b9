<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

/** A sentence beside the same with one word changed: a word for its opposite, a number or a name for another of the passage. */
final class OneWordChanged implements Proposes
{
    private const NUMBER = '/(?<![\p{L}\d.,:])\d+(?:[.:]\d+)?(?![\p{L}\d:])/u';
    private const OPPOSITES = [
        'high' => 'low', 'highest' => 'lowest', 'higher' => 'lower', 'north' => 'south', 'east' => 'west', 'northern' => 'southern',
        'eastern' => 'western', 'new' => 'full', 'rises' => 'falls', 'rose' => 'fell', 'rising' => 'falling', 'before' => 'after', 'inside' => 'outside',
        'red' => 'green', 'port' => 'starboard', 'ebb' => 'flood', 'springs' => 'neaps', 'spring' => 'neap', 'more' => 'less', 'most' => 'least',
        'always' => 'never', 'morning' => 'evening', 'up' => 'down', 'left' => 'right', 'first' => 'last', 'over' => 'under', 'above' => 'below',
        'fast' => 'slow', 'faster' => 'slower', 'deep' => 'shallow', 'long' => 'short', 'wide' => 'narrow', 'early' => 'late', 'begins' => 'ends',
        'began' => 'ended', 'open' => 'closed', 'near' => 'far', 'strong' => 'weak', 'cold' => 'warm', 'wet' => 'dry', 'light' => 'dark', 'day' => 'night',
        'larger' => 'smaller', 'large' => 'small', 'increases' => 'decreases', 'increased' => 'decreased', 'towards' => 'away from', 'in' => 'out',
    ];

    public function from(Passage $passage): array
    {
        $candidates = [];
        foreach ($passage->sentences as $sentence) {
            if ($sentence->words() < 6 || $sentence->words() > 30) {
                continue;
            }
            $changed = array_slice(array_values(array_unique([
                ...self::opposites($sentence), ...self::others($passage, $sentence),
            ])), 0, 3);
            if (count($changed) >= 2) {
                $candidates[] = Candidate::of(
                    'one word changed: which sentence does the passage say?',
                    $sentence,
                    'choice',
                    'Which of these does the passage say?',
                    '',
                    Candidate::options([$sentence->text, ...$changed]),
                );
            }
        }

        return $candidates;
    }

    /** @return list<string> */
    private static function opposites(Sentence $sentence): array
    {
        $changed = [];
        foreach ([...self::OPPOSITES, ...array_flip(self::OPPOSITES)] as $word => $instead) {
            $changed[] = $sentence->with($word, $instead) ?? $sentence->with(ucfirst($word), ucfirst($instead));
        }

        return array_values(array_filter($changed, is_string(...)));
    }

    /** @return list<string> */
    private static function others(Passage $passage, Sentence $sentence): array
    {
        $changed = [];
        preg_match_all(self::NUMBER, implode(' ', array_column($passage->sentences, 'text')), $all);
        preg_match_all(self::NUMBER, $sentence->text, $own);
        foreach ($own[0] as $number) {
            // One of the same look: a time for a time, decimals for decimals.
            $like = static fn (string $n): string => (string) preg_replace('/\d+/', '1', $n);
            $others = array_diff(array_filter(array_unique($all[0]), static fn (string $n): bool => $like($n) === $like($number)), $own[0]);
            foreach (array_slice(array_values($others), 0, 1) as $other) {
                $changed[] = $sentence->with($number, $other);
            }
        }
        foreach ($passage->names as $name) {
            $others = array_values(array_filter($passage->names, static fn (string $n): bool => !str_contains($sentence->text, $n)));
            $changed[] = $others === [] ? null : $sentence->with($name, $others[0]);
        }

        return array_values(array_filter($changed, is_string(...)));
    }
}

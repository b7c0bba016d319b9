<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

use ChalkLadder\Core\Item\ContentWords;

/**
 * Gaps from key sentences: those that hold most of the words that the passage comes back to (Luhn 1958, IBM Journal of Research and
 * Development 2, 159–165, without his clusters). Other words of the passage lie in the bank beside the right ones.
 */
final class GapsInKeySentences implements Proposes
{
    private const SENTENCES = 3;
    private const GAPS = 3;
    private const FURTHER = 3;

    public function from(Passage $passage): array
    {
        $key = array_filter($passage->words, static fn (int $n, string $w): bool => $n > 1 && mb_strlen($w) > 3, ARRAY_FILTER_USE_BOTH);
        $scores = [];
        foreach ($passage->sentences as $i => $sentence) {
            if ($sentence->words() >= 6 && $sentence->words() <= 35) {
                $hit = array_intersect(array_unique(ContentWords::of($sentence->text)), array_map(strval(...), array_keys($key)));
                $scores[$i] = array_sum(array_map(static fn (string $w): int => $key[$w], $hit)) / sqrt($sentence->words());
            }
        }
        $scores = array_filter($scores, static fn (float $score): bool => $score > 0.0);
        arsort($scores);
        $chosen = array_slice(array_keys($scores), 0, self::SENTENCES);
        sort($chosen);

        return array_values(array_filter(array_map(
            static fn (int $i): ?Candidate => self::gaps($passage, $passage->sentences[$i], array_map(strval(...), array_keys($key))),
            $chosen,
        )));
    }

    /** @param list<string> $key words, the most frequent first */
    private static function gaps(Passage $passage, Sentence $sentence, array $key): ?Candidate
    {
        $text = strtr($sentence->text, ['[' => '(', ']' => ')']);
        $gaps = [];
        foreach ($key as $word) {
            $pattern = '/(?<![\p{L}\d])'.preg_quote($word, '/').'(?![\p{L}\d])/iu';
            if (count($gaps) < self::GAPS && preg_match_all($pattern, $text, $found) === 1) {
                $id = 'g'.(count($gaps) + 1);
                $gaps[] = ['id' => $id, 'type' => 'text', 'weight' => 1, 'rule' => ['forms' => [['text' => $found[0][0], 'credit' => '1']]]];
                $text = (string) preg_replace($pattern, "[$id]", $text);
            }
        }
        $further = array_slice(array_values(array_filter(
            array_map(strval(...), array_keys($passage->words)),
            static fn (string $w): bool => mb_strlen($w) > 3 && mb_stripos($sentence->text, $w) === false,
        )), 0, self::FURTHER);

        return $gaps === [] ? null : Candidate::of(
            'gaps in a key sentence',
            $sentence,
            'gaps',
            'Fill the gaps with words of the passage.',
            '',
            ['passage' => $text, 'gaps' => $gaps, 'bank' => $further],
        );
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

use ChalkLadder\Core\Item\AnswerPart;

/** One part of a question's answers, over students: who gave what should stand there, and who what stands there instead most often. */
final readonly class Part
{
    public const KEY = 'key';
    public const RIVAL = 'rival';

    /**
     * @param string             $name  which part, in words; '' where the answer has none
     * @param string             $key   what should stand there, in words
     * @param string             $rival what else stands there most often
     * @param list<list<string>> $picks KEY, RIVAL or nothing for each student
     */
    private function __construct(public string $name, public string $key, public string $rival, public array $picks)
    {
    }

    /**
     * The parts in which somebody gave something else than the key.
     *
     * @param list<list<AnswerPart>> $given by student
     *
     * @return list<self>
     */
    public static function among(array $given): array
    {
        $others = $first = [];
        foreach ($given as $answer) {
            foreach ($answer as $part) {
                $first[$part->name] ??= $part;
                if (!$part->right) {
                    $others[$part->name][$part->like] ??= ['count' => 0, 'words' => $part->given];
                    ++$others[$part->name][$part->like]['count'];
                }
            }
        }
        $parts = [];
        foreach ($others as $name => $wrong) {
            uasort($wrong, static fn (array $a, array $b): int => [$b['count'], $a['words']] <=> [$a['count'], $b['words']]);
            $like = array_key_first($wrong);
            $parts[] = new self((string) $name, $first[$name]->key, $wrong[$like]['words'], array_map(
                static fn (array $answer): array => self::pick($answer, (string) $name, (string) $like),
                $given,
            ));
        }

        return $parts;
    }

    /**
     * @param list<AnswerPart> $answer
     *
     * @return list<string>
     */
    private static function pick(array $answer, string $name, string $rival): array
    {
        foreach ($answer as $part) {
            if ($part->name === $name) {
                return $part->right ? [self::KEY] : ($part->like === $rival ? [self::RIVAL] : []);
            }
        }

        return [];
    }
}

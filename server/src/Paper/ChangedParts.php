<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Item\ItemTemplate;

/** In what two states of a question differ, in words. */
final class ChangedParts
{
    private const WORDS = [
        'title' => 'title',
        'prompt' => 'wording',
        'rule' => 'answers',
        'hint' => 'hints',
        'hints' => 'hints',
        'goBack' => 'page to go back to',
        'explanation' => 'explanation',
        'skill' => 'skill',
        'checks' => 'checks',
        'confidence' => 'confidence',
        'working' => 'working beside the answer',
    ];

    /** @return list<string> */
    public static function between(ItemTemplate $then, ItemTemplate $now): array
    {
        $before = self::sorted($then->toArray());
        $after = self::sorted($now->toArray());
        $parts = [];
        foreach (array_unique([...array_keys($before), ...array_keys($after)]) as $key) {
            if (($before[$key] ?? null) !== ($after[$key] ?? null)) {
                $parts[] = self::WORDS[$key] ?? 'numbers';
            }
        }

        return array_values(array_unique($parts));
    }

    /**
     * The database keeps a document's members in an order of its own.
     *
     * @param array<array-key, mixed> $document
     *
     * @return array<array-key, mixed>
     */
    private static function sorted(array $document): array
    {
        ksort($document);

        return array_map(static fn (mixed $part): mixed => is_array($part) ? self::sorted($part) : $part, $document);
    }
}

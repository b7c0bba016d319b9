<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Response;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\NumberText;

/** Marks on a picture or grid as they are written: lists of exact numbers, in the units of the ground. */
final class Marks
{
    public const MOST = 100;

    /** @return list<list<BigRational>> marks of so many numbers each */
    public static function read(Node $node, string $key, int $numbers): array
    {
        return array_map(static fn (Node $mark): array => self::numbers($mark, $numbers), $node->children($key, self::MOST));
    }

    /** @return list<BigRational> */
    public static function numbers(Node $mark, int $count): array
    {
        $numbers = [];
        for ($i = 0; $i < $count; ++$i) {
            $numbers[] = $mark->rational((string) $i, '-1000000', '1000000');
        }
        $mark->rejectUnknown();

        return $numbers;
    }

    /**
     * @template K of array-key
     *
     * @param array<K, list<BigRational>> $marks
     *
     * @return array<K, list<string>>
     */
    public static function write(array $marks): array
    {
        return array_map(static fn (array $mark): array => array_map(NumberText::write(...), $mark), $marks);
    }

    /** @param list<BigRational> $mark its first two numbers are its place */
    public static function place(array $mark): string
    {
        return '('.implode(', ', array_map(NumberText::write(...), array_slice($mark, 0, 2))).')';
    }
}

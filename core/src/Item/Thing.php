<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;

/** Something that is put in order, matched, sorted or laid on a picture: an id and sanitised HTML. */
final readonly class Thing
{
    public function __construct(public string $id, public string $text)
    {
    }

    /** Its HTML as it stands within a line: a single paragraph without its marks. */
    public function inLine(): string
    {
        return preg_replace('#\A\s*<p>((?:(?!</?p\b).)*)</p>\s*\z#s', '$1', $this->text) ?? $this->text;
    }

    /** @return list<self> with ids of their own */
    public static function readAll(Node $node, string $key, int $most): array
    {
        $things = [];
        foreach ($node->children($key, $most) as $one) {
            $id = $one->text('id', 12);
            if (preg_match('/^[a-z0-9]{1,12}$/D', $id) !== 1 || isset($things[$id])) {
                $one->fault('id', 'Each needs an id of its own: 1 to 12 letters a–z or digits.');
            }
            $things[$id] = new self($id, $one->text('text', 2000, ''));
            $one->rejectUnknown();
        }

        return array_values($things);
    }

    /**
     * @param list<self> $things
     *
     * @return list<array{id: string, text: string}>
     */
    public static function write(array $things): array
    {
        return array_map(static fn (self $t): array => ['id' => $t->id, 'text' => $t->text], $things);
    }

    /**
     * What the thing of this id says, in plain text.
     *
     * @param list<self> $things
     */
    public static function named(array $things, string $id): string
    {
        foreach ($things as $thing) {
            if ($thing->id === $id) {
                return PlainText::of($thing->text);
            }
        }

        return '?';
    }

    /**
     * @param list<self> $things
     *
     * @return list<string>
     */
    public static function ids(array $things): array
    {
        return array_map(static fn (self $t): string => $t->id, $things);
    }
}

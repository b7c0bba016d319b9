<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;

/** A page to go back to while answering: what was read or shown in an earlier lesson, opened beside the question. Sanitised HTML. */
final readonly class GoBack
{
    /** of its text; a source of a paper fits */
    public const LONGEST = 60_000;

    public function __construct(public string $title, public string $text)
    {
    }

    public static function readFrom(Node $node): ?self
    {
        if (!$node->has('goBack')) {
            return null;
        }
        $page = $node->child('goBack');
        $read = new self($page->text('title', 120), $page->text('text', self::LONGEST));
        $page->rejectUnknown();

        return $read;
    }

    /** @return array{title: string, text: string} */
    public function toArray(): array
    {
        return ['title' => $this->title, 'text' => $this->text];
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/**
 * What a student gave to one question in one sitting. Each type of answer has a value of its own; {@see ResponseReader}
 * tells them apart by their members.
 */
interface Response
{
    /** The JSON form of a response in which nothing stands, whatever it was to hold. */
    public const NOTHING = ['text' => ''];

    /** @return non-empty-list<string> members of its JSON form */
    public static function members(): array;

    public static function read(\ChalkLadder\Core\Document\Node $node): self;

    public function isBlank(): bool;

    /** @return array<string, mixed> as {@see ResponseReader} reads it */
    public function toArray(): array;
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** What the feedback plan lets a student know of an answer. Whatever it does not tell yet is null or empty. */
final readonly class ToldView
{
    /** @param list<string> $levels descriptors of the rubric levels reached */
    public function __construct(
        public ?string $verdict,
        public string $feedback,
        public ?string $key,
        public ?string $explanation,
        public ?string $marks,
        public string $comment,
        public array $levels,
        public ?PictureView $picture,
    ) {
    }
}

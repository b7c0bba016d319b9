<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/** Something to read or look at that questions refer to: a passage, a picture (a stored file's id), or both. */
final readonly class Source
{
    public function __construct(public string $title, public string $html, public ?string $picture = null, public string $alt = '')
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['title' => $this->title, 'html' => $this->html, 'picture' => $this->picture, 'alt' => $this->alt];
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/**
 * Something that questions refer to: a passage, a picture, a sound, a clip or a document kept page by page, or several of these. Files are
 * named by their ids. The passage of a sound or a clip is its transcript, or what is said before it.
 */
final readonly class Source
{
    /** @param string|null $file a sound, a film or a PDF */
    public function __construct(
        public string $title,
        public string $html,
        public ?string $picture = null,
        public string $alt = '',
        public ?string $file = null,
    ) {
    }

    /** The same with its passage cleaned. */
    public function withHtml(string $html): self
    {
        return new self($this->title, $html, $this->picture, $this->alt, $this->file);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['title' => $this->title, 'html' => $this->html, 'picture' => $this->picture, 'alt' => $this->alt]
            + ($this->file === null ? [] : ['file' => $this->file]);
    }
}

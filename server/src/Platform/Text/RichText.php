<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Text;

use Symfony\Component\HtmlSanitizer\HtmlSanitizerInterface;

/** Rich text as we keep it: paragraphs, lists, emphasis, tables, maths. Everything else is dropped before it is stored. */
final readonly class RichText
{
    public function __construct(private HtmlSanitizerInterface $richText)
    {
    }

    public function clean(string $html): string
    {
        return trim($this->richText->sanitize($html));
    }
}

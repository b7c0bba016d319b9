<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Text;

use Symfony\Component\HtmlSanitizer\HtmlSanitizerInterface;

/**
 * Rich text as we keep it: paragraphs, lists, emphasis, tables, maths, pictures of the team’s own. Everything else is
 * dropped before it is stored.
 */
final readonly class RichText
{
    private const NO_PICTURE = '/<img\b(?![^>]*\sdata-file="[0-9a-f-]{36}")[^>]*>/';

    public function __construct(private HtmlSanitizerInterface $richText)
    {
    }

    public function clean(string $html): string
    {
        // A picture is one of the team's files; any other has lost its source already.
        return trim((string) preg_replace(self::NO_PICTURE, '', $this->richText->sanitize($html)));
    }
}

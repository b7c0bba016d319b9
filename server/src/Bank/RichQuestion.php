<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Platform\Text\RichText;

/**
 * The one gate for a question's rich texts: on the way in, whoever writes it (the editor, a changed key, a try-out), and on
 * the way out, before an edition is shown. What is not as it should be is left for the reader to refuse.
 */
final readonly class RichQuestion
{
    public function __construct(private RichText $richText)
    {
    }

    /**
     * @param array<array-key, mixed> $question
     *
     * @return array<array-key, mixed>
     */
    public function cleaned(array $question): array
    {
        foreach (['prompt', 'hint', 'explanation'] as $key) {
            if (is_string($question[$key] ?? null)) {
                $question[$key] = $this->richText->clean($question[$key]);
            }
        }
        if (is_array($question['rule'] ?? null)) {
            $question['rule'] = $this->cleanedRule($question['rule']);
        }

        return $question;
    }

    /**
     * @param array<array-key, mixed> $rule
     *
     * @return array<array-key, mixed>
     */
    public function cleanedRule(array $rule): array
    {
        if (is_array($rule['options'] ?? null)) {
            $rule['options'] = array_map(
                fn (mixed $o): mixed => is_array($o) && is_string($o['text'] ?? null)
                    ? ['text' => $this->richText->clean($o['text'])] + $o
                    : $o,
                $rule['options'],
            );
        }

        return $rule;
    }
}

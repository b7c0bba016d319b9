<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Said;
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

        if (is_array($question['hints'] ?? null)) {
            $question['hints'] = array_map($this->withText(...), $question['hints']);
        }
        if (isset($question['goBack'])) {
            $question['goBack'] = $this->withText($question['goBack']);
        }

        return $this->withSaid(ItemType::cleaned($question, $this->richText->clean(...)));
    }

    /**
     * What is told to those who answer so, wherever it stands in a key.
     *
     * @param array<array-key, mixed> $part
     *
     * @return array<array-key, mixed>
     */
    private function withSaid(array $part): array
    {
        foreach ($part as $key => $value) {
            if (is_array($value)) {
                $part[$key] = $this->withSaid($value);
            } elseif ($key === 'feedback' && is_string($value) && Said::isRich($value)) {
                $part[$key] = $this->richText->clean($value);
            }
        }

        return $part;
    }

    private function withText(mixed $part): mixed
    {
        return is_array($part) && is_string($part['text'] ?? null) ? ['text' => $this->richText->clean($part['text'])] + $part : $part;
    }

    /**
     * @param array<array-key, mixed> $rule of a question of this type
     *
     * @return array<array-key, mixed>
     */
    public function cleanedRule(string $type, array $rule): array
    {
        $cleaned = $this->cleaned(['type' => $type, 'rule' => $rule])['rule'];

        return is_array($cleaned) ? $cleaned : [];
    }
}

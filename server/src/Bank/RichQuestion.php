<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\ItemType;
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

        return ItemType::cleaned($question, $this->richText->clean(...));
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

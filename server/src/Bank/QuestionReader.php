<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\Distinctness;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Json;
use Symfony\Contracts\Cache\CacheInterface;

/** Reads a question as it comes from the editor, and says field by field what cannot be kept. */
final readonly class QuestionReader
{
    /** What a check may name besides the variables and earlier questions of the section. */
    private const NAMES = ['answer', 'text', 'table', 'true', 'false', 'pi'];

    public function __construct(
        private RichQuestion $rich,
        private Terms $terms,
        private Teams $teams,
        private Files $files,
        private CacheInterface $cache,
    ) {
    }

    /** @param array<array-key, mixed> $json */
    public function read(string $teamId, array $json): ItemTemplate
    {
        $json = Terms::current($this->rich->cleaned($json), $this->terms->sameAs($teamId));
        $template = $this->knowing(ItemTemplate::read($this->teams->numberStyle($teamId) === Style::Comma
            ? ItemType::styled($json, Style::Comma)
            : $json)->whole());
        $item = $template->sample();
        $fields = self::unknownNames($item, $template);
        if ($item->skill !== null && !isset($this->terms->skillNames($teamId)[$item->skill])) {
            $fields['skill'] = 'This skill is not one of the team’s.';
        }
        if (array_diff($item->misconceptions(), array_keys($this->terms->misconceptionNames($teamId))) !== []) {
            $fields['rule'] = 'A misconception named here is not one of the team’s.';
        }
        if (!$this->files->hasAll($teamId, $item->files())) {
            $fields['rule'] = 'A picture of this question is not one of the team’s files.';
        }

        return $fields === [] ? $template : throw Problem::invalid($fields);
    }

    /** The question with what walking the draws of its variables finds; that takes a while, so it is kept for its content. */
    public function knowing(ItemTemplate $template): ItemTemplate
    {
        if (!$template->hasVariables()) {
            return $template;
        }
        $walk = static fn (): array => array_map(
            static fn (Defect $d): array => [$d->message, $d->blocks],
            (new Distinctness($template))->defects(),
        );
        $found = $this->cache->get('draws-'.hash('sha256', Json::encode($template->toArray())), $walk);

        return $template->knowing(array_map(
            static fn (array $d): Defect => $d[1] ? Defect::blocking($d[0]) : Defect::advice($d[0]),
            $found,
        ));
    }

    /** @return array<string, string> */
    private static function unknownNames(Item $item, ItemTemplate $template): array
    {
        $fields = [];
        foreach ($item->checks as $i => $check) {
            $named = array_diff($check->names(), self::NAMES, $template->variables->names());
            $unknown = array_values(array_filter($named, static fn (string $n): bool => preg_match('/^q[1-9]\d?$/D', $n) !== 1));
            if ($unknown !== []) {
                $fields["checks.$i.when"] = sprintf('“%s” has no value here.', $unknown[0]);
            }
        }

        return $fields;
    }
}

<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Sitting\MachineMarked;

/**
 * A published paper with its questions in full, under the keys that hold now. It is kept as plain documents and read
 * part by part, on asking: saving one answer needs one question, not thirty (docs/decisions/hot-path.md).
 */
final class PublishedPaper
{
    private ?Paper $paper = null;
    private ?MachineMarked $marked = null;

    /** @var array<string, ItemTemplate> */
    private array $read = [];

    /** @var array<string, OwnItem> by entry and seed */
    private array $own = [];

    /**
     * @param array<array-key, mixed>                $paperDocument as {@see PaperReader} reads it
     * @param array<string, array<array-key, mixed>> $documents     as {@see ItemTemplate} reads them, by entry id in written order, worth what the paper says
     * @param array<string, string>                  $itemIds       bank ids by entry id
     * @param array<string, array<array-key, mixed>> $drawnFrom     the documents as they were published, of questions with variables whose key has changed since
     */
    public function __construct(
        public readonly string $id,
        public readonly string $paperId,
        public readonly int $number,
        private readonly array $paperDocument,
        private readonly array $documents,
        public readonly array $itemIds,
        private readonly array $drawnFrom = [],
    ) {
    }

    public function paper(): Paper
    {
        return $this->paper ??= PaperReader::read($this->paperDocument);
    }

    /** @return array<string, Item> by entry id; of a question with variables, one draw that stands for all */
    public function items(): array
    {
        $items = [];
        foreach (array_keys($this->documents) as $entry) {
            $items[$entry] = $this->written($entry)->sample();
        }

        return $items;
    }

    public function has(string $entry): bool
    {
        return isset($this->documents[$entry]);
    }

    public function item(string $entry): ?Item
    {
        return $this->has($entry) ? $this->written($entry)->sample() : null;
    }

    public function template(string $entry): ?ItemTemplate
    {
        return $this->has($entry) ? $this->written($entry) : null;
    }

    /**
     * The question as the owner of a sitting's seed has it at a try: the same numbers at each, if the mastery rule does not say otherwise.
     * Their numbers outlast a changed key.
     */
    public function own(string $entry, string $seed, int $try = 1): ?OwnItem
    {
        if (!$this->has($entry)) {
            return null;
        }
        $template = $this->written($entry);
        if (!$template->hasVariables()) {
            return $template->own($seed);
        }
        $published = isset($this->drawnFrom[$entry]) ? ItemTemplate::read($this->drawnFrom[$entry]) : $template;

        $draw = "$seed|$entry".($try > 1 && $this->paper()->mastery?->otherNumbers === true ? "|$try" : '');

        return $this->own[$draw] ??= $template->with($published->own($draw)->numbers);
    }

    /** What was drawn for single students is theirs, and there are many of them. */
    public function forgetDraws(): void
    {
        $this->own = [];
    }

    /** Whether a check asks for an earlier answer: then one answer's change may change what another is worth. */
    public function looksBack(): bool
    {
        foreach ($this->documents as $document) {
            foreach (is_array($document['checks'] ?? null) ? $document['checks'] : [] as $check) {
                if (is_array($check) && is_string($check['when'] ?? null) && preg_match('/\bq\d/', $check['when']) === 1) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The entries whose answers a machine marks, with what each is evidence of. */
    public function machineMarked(): MachineMarked
    {
        return $this->marked ??= $this->readMarked();
    }

    private function readMarked(): MachineMarked
    {
        $marked = array_filter(
            $this->items(),
            static fn (Item $i): bool => !$i->rule->waitsForMarker() && $i->type()->definition()->isScored(),
        );

        return new MachineMarked(
            array_keys($marked),
            array_map(static fn (Item $i): ?string => $i->skill, $marked),
            array_keys(array_filter($marked, fn (string $entry): bool => $this->written($entry)->hasVariables(), ARRAY_FILTER_USE_KEY)),
        );
    }

    /** {@see Item::afterHints()} for the question of an entry. */
    public function afterHints(string $entry, ?BigRational $credit, int $opened): ?BigRational
    {
        // Asked for every answer of a class: most have opened none.
        return $opened === 0 ? $credit : $this->item($entry)?->afterHints($credit, $opened);
    }

    /** @return array<string, int> question numbers by entry id, in written order from 1 */
    public function numbers(): array
    {
        $numbers = [];
        foreach ($this->paper()->questions() as $i => $entry) {
            $numbers[$entry->id] = $i + 1;
        }

        return $numbers;
    }

    public function title(string $entry): string
    {
        $item = $this->item($entry);
        if ($item === null) {
            return '';
        }
        $title = trim($item->title);

        return $title !== '' ? $title : mb_strimwidth(trim(html_entity_decode(strip_tags($item->prompt))), 0, 60, '…');
    }

    public function points(string $entry): BigRational
    {
        return $this->item($entry)->points ?? BigRational::zero();
    }

    private function written(string $entry): ItemTemplate
    {
        return $this->read[$entry] ??= ItemTemplate::read($this->documents[$entry]);
    }
}

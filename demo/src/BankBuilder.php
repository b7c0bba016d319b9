<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Server\Bank\Api\Input\FolderInput;
use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\Folders;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Media\Content;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Media\Kind;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use Symfony\Component\Filesystem\Filesystem;

/** Writes the demo's bank and papers through the same services that teachers use. */
final class BankBuilder
{
    /** What the pictures show that questions are laid on, without telling their keys. */
    private const ALT = [
        'night.svg' => 'A chart of the approach by night with five lights, each with its letters: Fl R 3s on a pier, Fl(2) W 10s south of it, Oc W 6s on the east shore, and two buoys, Q R and Q G.',
        'sound.svg' => 'A chart of Kelpwick Sound with the pier, a bank, two marks, two lights and six soundings in metres.',
        'sound-plain.svg' => 'A chart of a sound without names: land to the west with a pier, a dotted outline in the middle, a red can, a green cone, a light and a rock.',
    ];

    /** @var array<string, string> */
    private array $skills = [];

    /** @var array<string, string> */
    private array $ideas = [];

    /** @var array<string, string> */
    private array $items = [];
    /** @var array<string, string> by slug, of those that are written */
    private array $paperIds = [];

    public function __construct(
        private readonly Scenario $scenario,
        private readonly Terms $terms,
        private readonly Bank $bank,
        private readonly Folders $folders,
        private readonly Papers $papers,
        private readonly Files $files,
    ) {
    }

    /** @return array<string, string> ids of the published editions by paper slug */
    public function build(StaffUser $who): array
    {
        $above = [];
        foreach ($this->scenario->bank('below') as $name => $slugs) {
            $id = $this->terms->addSkill($who, new TermInput((string) $name))->id;
            $above += array_fill_keys(array_map(Scenario::text(...), Scenario::map($slugs)), $id);
        }
        foreach ($this->scenario->bank('skills') as $slug => $name) {
            $input = new TermInput(Scenario::text($name), parent: $above[(string) $slug] ?? null);
            $this->skills[(string) $slug] = $this->terms->addSkill($who, $input)->id;
        }
        foreach ($this->scenario->bank('misconceptions') as $slug => $m) {
            $m = Scenario::map($m);
            $this->ideas[(string) $slug] = $this->terms->addMisconception(
                $who,
                new TermInput(Scenario::text($m[0] ?? ''), Scenario::text($m[1] ?? ''), Scenario::text($m[2] ?? '')),
            )->id;
        }
        foreach ($this->scenario->bank('questions') as $slug => $question) {
            $this->items[(string) $slug] = $this->bank->create($who, new ItemInput($this->item($who, Scenario::map($question))))->id;
        }
        foreach ($this->scenario->bank('folders') as $name => $slugs) {
            $ids = array_map(fn (mixed $slug): string => $this->items[Scenario::text($slug)] ?? '', array_values(Scenario::map($slugs)));
            $this->folders->make($who, new FolderInput((string) $name, items: $ids));
        }
        $editions = [];
        foreach ($this->scenario->bank('papers') as $slug => $paper) {
            $view = $this->papers->create($who, new PaperInput($this->paper($who, Scenario::map($paper))));
            $this->paperIds[(string) $slug] = $view->id;
            if ((Scenario::map($paper)['draft'] ?? false) === true) {
                continue;
            }
            $editions[(string) $slug] = $this->papers->publish($who, $view->id, new PublishInput($view->version))->editionId ?? '';
        }

        return $editions;
    }

    /** @return array<string, string> question slugs by bank id */
    public function slugs(): array
    {
        return array_flip($this->items);
    }

    /** @return array<string, string> ids of the misconceptions by slug */
    public function ideas(): array
    {
        return $this->ideas;
    }

    /**
     * @param array<array-key, mixed> $q
     *
     * @return array<string, mixed>
     */
    private function item(StaffUser $who, array $q): array
    {
        [$type, $rule] = match (true) {
            isset($q['rule']) => [Scenario::text($q['type'] ?? ''), $this->named($who, Scenario::map($q['rule']))],
            isset($q['options']) => ['choice', $this->choice(Scenario::map($q['options']))],
            isset($q['number']) => ['number', $this->number($q)],
            isset($q['forms']) => ['text', $this->formsOf($q)],
            default => ['open', ['criteria' => array_map($this->criterion(...), array_values(Scenario::map($q['criteria'] ?? [])))]],
        };

        return [
            'version' => 1, 'type' => $type, 'title' => Scenario::text($q['title'] ?? ''), 'prompt' => Scenario::text($q['prompt'] ?? ''),
            'points' => Scenario::text($q['points'] ?? '1'), 'skill' => $this->skills[Scenario::text($q['skill'] ?? '')] ?? null,
            'hint' => Scenario::text($q['hint'] ?? ''), 'explanation' => Scenario::text($q['explanation'] ?? ''), 'rule' => $rule,
        ] + array_intersect_key($q, ['hints' => 1, 'goBack' => 1, 'constraints' => 1]) + (($q['confidence'] ?? false) === true ? ['confidence' => true] : []) + (isset($q['variables']) ? [
            'variables' => $q['variables'],
            'decimals' => $q['decimals'] ?? 2,
        ] : []);
    }

    /**
     * A rule as it is written in docs/formats/question.md, with misconceptions by their slugs and pictures by their names.
     *
     * @param array<array-key, mixed> $rule
     *
     * @return array<array-key, mixed>
     */
    private function named(StaffUser $who, array $rule): array
    {
        foreach ($rule as $key => $value) {
            $rule[$key] = match (true) {
                is_array($value) => $this->named($who, $value),
                $key === 'misconception' && is_string($value) => $this->ideas[$value] ?? null,
                $key === 'picture' && is_string($value) => $this->picture($who, $value),
                default => $value,
            };
        }

        return $rule;
    }

    /** @return array{file: string, width: int|null, height: int|null, alt: string} */
    private function picture(StaffUser $who, string $name): array
    {
        $id = $this->files->store($who->teamId, 'image/svg+xml', $name, $this->scenario->picture($name));
        $about = $this->files->view($who->teamId, $id);

        return ['file' => $id, 'width' => $about->width, 'height' => $about->height, 'alt' => self::ALT[$name] ?? ''];
    }

    /**
     * @param array<array-key, mixed> $options
     *
     * @return array<string, mixed>
     */
    private function choice(array $options): array
    {
        $made = [];
        foreach (array_values($options) as $i => $o) {
            $o = Scenario::map($o);
            $second = Scenario::text($o[1] ?? '');
            $made[] = [
                'id' => 'o'.($i + 1),
                'text' => '<p>'.Scenario::text($o[0] ?? '').'</p>',
                'key' => $second === 'key',
                'feedback' => strip_tags(Scenario::text($o[2] ?? '')),
                'misconception' => $this->ideas[$second] ?? null,
            ];
        }

        return ['options' => $made];
    }

    /**
     * @param array<array-key, mixed> $q
     *
     * @return array<string, mixed>
     */
    private function number(array $q): array
    {
        $n = Scenario::map($q['number'] ?? []);
        $targets = [[
            'value' => Scenario::text($n['value'] ?? '0'),
            'tolerance' => Scenario::text($n['tolerance'] ?? '0'),
            'credit' => '1',
        ]];
        foreach (Scenario::map($q['targets'] ?? []) as $t) {
            $t = Scenario::map($t);
            $targets[] = [
                'value' => Scenario::text($t[0] ?? '0'),
                'tolerance' => '0',
                'credit' => '0',
                'feedback' => strip_tags(Scenario::text($t[2] ?? '')),
                'misconception' => $this->ideas[Scenario::text($t[1] ?? '')] ?? null,
            ];
        }

        return ['targets' => $targets, 'unit' => Scenario::text($n['unit'] ?? ''), 'unitUse' => Scenario::text($n['use'] ?? 'none')];
    }

    /**
     * @param array<array-key, mixed> $q
     *
     * @return array<string, mixed>
     */
    private function formsOf(array $q): array
    {
        $forms = [];
        foreach (Scenario::map($q['forms'] ?? []) as $f) {
            $f = Scenario::map($f);
            $forms[] = [
                'text' => Scenario::text($f[0] ?? ''),
                'credit' => Scenario::text($f[1] ?? '1'),
                'feedback' => Scenario::text($f[2] ?? ''),
            ];
        }

        return ['forms' => $forms, 'allowSlips' => ($q['slips'] ?? false) === true];
    }

    /** @return array<string, mixed> */
    private function criterion(mixed $criterion): array
    {
        $c = Scenario::map($criterion);
        $levels = [];
        foreach (array_slice($c, 1) as $level) {
            $l = Scenario::map($level);
            $levels[] = [
                'descriptor' => Scenario::text($l[0] ?? ''),
                'points' => Scenario::text($l[1] ?? '0'),
                'misconception' => $this->ideas[Scenario::text($l[2] ?? '')] ?? null,
            ];
        }

        return ['name' => Scenario::text($c[0] ?? ''), 'levels' => $levels];
    }

    /**
     * @param array<array-key, mixed> $paper
     *
     * @return array<string, mixed>
     */
    private function paper(StaffUser $who, array $paper): array
    {
        $sections = [];
        $ids = [];
        $looksAt = Scenario::map($paper['looksAt'] ?? []);
        $tells = Scenario::map($paper['tells'] ?? []);
        foreach (array_values(Scenario::map($paper['sections'] ?? [])) as $i => $s) {
            $ids[Scenario::text(Scenario::map($s)[0] ?? '')] = 's'.($i + 1);
        }
        foreach (array_values(Scenario::map($paper['sections'] ?? [])) as $i => $s) {
            $s = Scenario::map($s);
            $entries = [];
            $slugs = array_map(Scenario::text(...), array_values(Scenario::map($s[1] ?? [])));
            $idOf = static fn (int $j): string => 'e'.($i + 1).'-'.($j + 1);
            foreach ($slugs as $j => $slug) {
                $looks = Scenario::map($looksAt[$slug] ?? []);
                $entries[] = $this->entry($who, $slug, $idOf($j)) + ($looks === [] ? [] : ['looksAt' => [
                    'source' => $idOf((int) array_search('@'.Scenario::text($looks[0] ?? ''), $slugs, true)),
                ] + Scenario::map($looks[1] ?? [])]);
            }
            $title = Scenario::text($s[0] ?? '');
            $route = isset($s[2]) ? Scenario::map($s[2]) : null;
            $sections[] = [
                'id' => 's'.($i + 1),
                'title' => $title,
                'entries' => $entries,
                'route' => $route === null ? null : [
                    'exits' => array_map(static fn (mixed $exit): array => [
                        'to' => $ids[Scenario::text(Scenario::map($exit)['to'] ?? '')] ?? 'end',
                    ] + Scenario::map($exit), array_values(Scenario::map($route['exits'] ?? []))),
                    'else' => $ids[Scenario::text($route['else'] ?? '')] ?? 'end',
                ],
            ] + (isset($s[3]) ? ['drawing' => Scenario::map($s[3])] : []) + (isset($tells[$title]) ? ['instructions' => Scenario::text($tells[$title])] : []);
        }

        return [
            'version' => 1,
            'title' => Scenario::text($paper['title'] ?? ''),
            'sections' => $sections,
            'mastery' => $paper['mastery'] ?? null,
        ] + (isset($paper['followUps']) ? ['followUps' => array_map(
            fn (mixed $line): array => ['paper' => $this->paperIds[Scenario::text(Scenario::map($line)['paper'] ?? '')] ?? ''] + Scenario::map($line),
            array_values(Scenario::map($paper['followUps'])),
        )] : []) + (isset($paper['plan']) ? ['plan' => array_map(
            fn (int|string $skill, mixed $marks): array => [
                'skill' => $this->skills[(string) $skill] ?? '',
                'marks' => Scenario::text($marks),
            ],
            array_keys(Scenario::map($paper['plan'])),
            array_values(Scenario::map($paper['plan'])),
        )] : []);
    }

    /** @return array<string, mixed> */
    private function entry(StaffUser $who, string $slug, string $id): array
    {
        if (!str_starts_with($slug, '@')) {
            // Every student gets one that is marked so, where others are drawn.
            $pinned = str_starts_with($slug, '!');
            $slug = ltrim($slug, '!');

            return [
                'id' => $id,
                'kind' => 'question',
                'item' => $this->items[$slug] ?? throw new \LogicException("The demo names a question $slug that it does not write."),
                'points' => Scenario::text($this->scenario->question($slug)['points'] ?? '1'),
            ] + ($pinned ? ['pinned' => true] : []);
        }
        $source = Scenario::map($this->scenario->bank('sources')[substr($slug, 1)] ?? []);
        $file = Scenario::text($source['picture'] ?? '');

        return ['id' => $id, 'kind' => 'source', 'source' => [
            'title' => Scenario::text($source['title'] ?? ''),
            'html' => Scenario::text($source['html'] ?? ''),
            'picture' => $file === '' ? null : $this->files->store($who->teamId, 'image/svg+xml', $file, $this->scenario->picture($file)),
            'alt' => Scenario::text($source['alt'] ?? ''),
        ] + (isset($source['sound']) ? [
            'file' => $this->files->store($who->teamId, 'audio/ogg', 'From the pilot boat', $this->scenario->sound(Scenario::text($source['sound']))),
        ] : []) + (isset($source['film']) ? [
            'file' => $this->files->store($who->teamId, 'video/webm', 'The tide pole', $this->scenario->film(Scenario::text($source['film']))),
        ] : []) + (isset($source['pdf']) ? [
            'file' => $this->sheet($who, Scenario::text($source['pdf'])),
        ] : []) + (isset($source['glossary']) ? ['glossary' => array_map(
            static fn (int|string $word, mixed $meaning): array => ['word' => (string) $word, 'meaning' => Scenario::text($meaning)],
            array_keys(Scenario::map($source['glossary'])),
            array_values(Scenario::map($source['glossary'])),
        )] : []) + (isset($source['stops']) ? ['stops' => true] : [])
            + (isset($source['link']) ? ['link' => Scenario::text($source['link'])] : [])
            + (isset($source['pieces']) ? ['pieces' => array_map(
                static fn (int|string $text, mixed $copies): array => ['text' => (string) $text, 'copies' => (int) Scenario::text($copies)],
                array_keys(Scenario::map($source['pieces'])),
                array_values(Scenario::map($source['pieces'])),
            )] : [])
            + (isset($source['inOrder']) ? ['inOrder' => true] : [])];
    }

    /** A page as it came, kept page by page. */
    private function sheet(StaffUser $who, string $name): string
    {
        $disk = new Filesystem();
        $folder = $disk->tempnam(sys_get_temp_dir(), 'sheet').'.pages';
        $disk->copy($this->scenario->sheet($name), "$folder/whole");
        try {
            return $this->files->keep($who->teamId, null, $name, Content::read("$folder/whole", [Kind::Pdf], $folder));
        } finally {
            $disk->remove([$folder, substr($folder, 0, -6)]);
        }
    }
}

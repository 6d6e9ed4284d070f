import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { studioSchema } from '@/core/formats/studio-schema';
import { exportFile } from '@/core/formats/export';
import type { PaintingAssessment } from '@/core/painting';
import { coatsCsv, logCsv, testsCsv } from '@/core/record/csv';
import { labelLines } from '@/core/record/label';
import { columnsDrawing, sectionDrawing } from '@/core/record/section';
import { svgOf } from '@/core/record/svg';
import { paintingAddress } from '@/features/addresses';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { saveFile, slug } from '@/features/keep/files';
import { usePictures } from '@/features/look/usePictures';
import { useSessions } from '@/features/session/useSession';
import { useText } from '@/forms/useText';
import { settingsChanged } from '@/store/studio';
import { nowIso } from '@/store/clock';
import { useAssessment, useStoreDispatch, useStoreSelector, useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Problem, Says } from '@/ui/Says';
import { Screen, WIDE } from '@/ui/Screen';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { QrCode } from './QrCode';
import { usePapers, useRecordOptions } from './usePapers';

/** A record holds the last photos, not hundreds. */
const MOST_PHOTOS = 6;

/** What is written down of a picture: for the wall, the back of it, and whoever treats it one day. */
export function PapersScreen({ id }: { id: string }) {
  const router = useRouter();
  const assessment = useAssessment(id);
  if (!assessment) return <NotHereScreen what="That painting" />;
  return (
    <Screen
      title="The record"
      subtitle={assessment.painting.title}
      onBack={() => router.navigate(paintingAddress(id))}
      maxWidth={WIDE}
    >
      <TwoColumns
        left={<Pages assessment={assessment} />}
        right={<Tables assessment={assessment} />}
      />
    </Screen>
  );
}

function Pages({ assessment }: { assessment: PaintingAssessment }) {
  const { painting } = assessment;
  const [withPhotos, setWithPhotos] = useState(false);
  const dispatch = useStoreDispatch();
  const known = useStoreSelector((s) => s.studio.painter) ?? '';
  const painter = useText('painter', studioSchema.shape.painter.unwrap(), known);
  const keepName = () => {
    const name = painter.accepted();
    if (name !== null && name !== known) dispatch(settingsChanged({ painter: name }));
  };
  const all = usePictures(painting);
  const photos = withPhotos ? all.filter((p) => p.kind === 'progress').slice(-MOST_PHOTOS) : [];
  const sessions = useSessions();
  const mine = useMemo(
    () => sessions.filter((s) => s.works.some((w) => w.paintingId === painting.id)),
    [sessions, painting.id],
  );
  const { busy, failure, make } = usePapers(assessment, painter.text, photos, mine);
  const options = useRecordOptions();
  const lines = labelLines(painting, options.day, painter.text.trim());
  return (
    <View style={{ gap: space.m }}>
      <Heading>On paper</Heading>
      <Field
        label="Painted by, on label and record"
        value={painter.text}
        onChangeText={painter.set}
        onBlur={keepName}
        error={painter.error}
      />
      <Text tone="ink2">
        The record: support, ground, every coat with its mix, medium and amount, the sections, what
        was judged and overruled, tests, air, cautions. The file carries the same for this app: it
        can be taken in again under Settings.
      </Text>
      {all.some((p) => p.kind === 'progress') ? (
        <Tick
          title="With its last photos"
          checked={withPhotos}
          onPress={() => setWithPhotos(!withPhotos)}
        />
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action
          title="Save the record"
          kind="primary"
          disabled={busy !== null}
          onPress={() => void make('record')}
        />
        <Action
          title="Save the plan for the wall"
          disabled={busy !== null}
          onPress={() => void make('plan')}
        />
      </View>
      <Says>{busy ? 'Making the pages …' : ''}</Says>
      <Problem says={failure} />
      <Heading>Label for the back</Heading>
      <Text tone="ink2">
        The code holds these lines as text; no address, no server. Any reader of codes shows them.
      </Text>
      <QrCode lines={lines} />
      {lines.slice(0, 7).map((line, i) => (
        <Text key={i} strong={i === 0}>
          {line}
        </Text>
      ))}
      {lines.length > 7 ? (
        <Text size="small" tone="ink2">{`and ${lines.length - 7} lines more`}</Text>
      ) : null}
      <Action
        title="Save the label"
        disabled={busy !== null}
        onPress={() => void make('label')}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

function Tables({ assessment }: { assessment: PaintingAssessment }) {
  const { painting } = assessment;
  const swatches = useSwatches();
  const sessions = useSessions().filter((s) => s.works.some((w) => w.paintingId === painting.id));
  const name = slug(painting.title);
  const csv = (what: string, text: string) =>
    saveFile(`${name}-${what}.csv`, text, 'text/csv;charset=utf-8');
  const json = () => JSON.stringify(exportFile('painting', [painting], null, nowIso()));
  return (
    <View style={{ gap: space.m }}>
      <Heading>As tables</Heading>
      <Text tone="ink2">
        Comma-separated, for any spreadsheet. What was lost here comes back from them under
        Settings, Import.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action title="Coats" onPress={() => csv('coats', coatsCsv([painting]))} />
        <Action title="Touch tests" onPress={() => csv('tests', testsCsv([painting]))} />
        <Action
          title="Log"
          onPress={() =>
            csv(
              'log',
              logCsv(sessions, (id) => (id === painting.id ? painting.title : '')),
            )
          }
        />
      </View>
      <Heading>As drawings</Heading>
      <Text tone="ink2">SVG, to scale.</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action
          title="All passages"
          onPress={() =>
            saveFile(
              `${name}-columns.svg`,
              svgOf(columnsDrawing(assessment, swatches), json()),
              'image/svg+xml',
            )
          }
        />
        {painting.passages.map((p) => {
          const drawing = sectionDrawing(assessment, p.id, swatches);
          return drawing ? (
            <Action
              key={p.id}
              title={p.name}
              label={`${p.name}: section as SVG`}
              onPress={() =>
                saveFile(`${name}-${slug(p.name)}.svg`, svgOf(drawing, json()), 'image/svg+xml')
              }
            />
          ) : null;
        })}
      </View>
    </View>
  );
}

import { useEffect, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { WrongText } from '../kit/Field';
import { Press } from '../kit/Hands';
import { smaller } from '../kit/smaller';
import { type KeptNote, newId } from '../offline/note';

const Shown = styled.ul`
  display: flex; gap: 8px; flex-wrap: wrap;
  img { width: 76px; height: 76px; object-fit: cover; border: 2px solid var(--ink); border-radius: 3px; display: block; }
`;

/** Takes a picture or picks one; it is made small here, before it is kept. */
export function PhotoPick({ onAdd }: { onAdd: (photo: KeptNote['photos'][number]) => void }) {
  const [wrong, setWrong] = useState('');
  const add = async (file: File | undefined) => {
    if (!file) return;
    try {
      onAdd({ id: newId(), blob: await smaller(file) });
      setWrong('');
    } catch {
      setWrong('That is no picture this device can read.');
    }
  };
  return (
    <>
      <FileTrigger
        acceptedFileTypes={['image/*']}
        defaultCamera="environment"
        onSelect={(files) => void add(files?.[0])}
      >
        <Press>Add a photo</Press>
      </FileTrigger>
      {wrong && <WrongText role="alert">{wrong}</WrongText>}
    </>
  );
}

export function PhotosTaken({ photos }: { photos: KeptNote['photos'] }) {
  if (photos.length === 0) return null;
  return (
    <Shown aria-label="Photos taken">
      {photos.map((photo, index) => (
        <li key={photo.id}>
          <Taken blob={photo.blob} alt={`Photo ${index + 1}`} />
        </li>
      ))}
    </Shown>
  );
}

function Taken({ blob, alt }: { blob: Blob; alt: string }) {
  const [address, setAddress] = useState('');
  useEffect(() => {
    const made = URL.createObjectURL(blob);
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [blob]);
  return address ? <img src={address} alt={alt} /> : null;
}

/** Pictures that the yard keeps. */
export function Photos({ ids, of }: { ids: string[]; of: string }) {
  if (ids.length === 0) return null;
  return (
    <Shown aria-label={`Photos of ${of}`}>
      {ids.map((id, index) => (
        <li key={id}>
          <a href={`/api/photos/${id}`} target="_blank" rel="noreferrer">
            <img src={`/api/photos/${id}`} alt={`${of}, ${index + 1}`} loading="lazy" />
          </a>
        </li>
      ))}
    </Shown>
  );
}
